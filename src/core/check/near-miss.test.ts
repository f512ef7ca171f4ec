import fc from 'fast-check';
import { habitsAlong } from './near-miss';

/** Every distance compared with every other: slow, and plainly right. */
function compared(all: readonly number[], mm: number): { readonly mm: number; readonly count: number } | undefined {
  const alike = (value: number) => all.filter((other) => Math.abs(other - value) <= 0.0051).length;
  const near = all.filter((other) => Math.abs(other - mm) > 0.0051 && Math.abs(other - mm) <= 0.6001);
  const best = near.reduce<number | undefined>((a, b) => (a === undefined || alike(b) > alike(a) ? b : a), undefined);
  if (best === undefined || alike(best) < 3 || alike(best) <= alike(mm)) return undefined;
  return { mm: best, count: alike(best) };
}

const distances = fc.array(
  fc.integer({ min: 10, max: 40 }).map((tenths) => tenths / 10),
  { maxLength: 40 },
);

test('the habit that is found is the one that comparing all with all finds', () => {
  fc.assert(
    fc.property(distances, (all) => {
      const habit = habitsAlong(all);
      for (const mm of all) {
        const [found, expected] = [habit(mm), compared(all, mm)];
        expect([mm, found?.count]).toEqual([mm, expected?.count]);
        // Of two as strong, either may be meant.
        if (found) expect(all.filter((other) => other === found.mm)).toHaveLength(found.count);
      }
    }),
  );
});

test('what is nearer than the eye sees is the same', () => {
  const habit = habitsAlong([12, 12.004, 11.998, 12.3]);
  expect(habit(12.3)?.count).toBe(3);
  expect(habit(12.004)).toBeUndefined();
});
