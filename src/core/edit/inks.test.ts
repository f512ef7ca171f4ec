import { elementsOn, type Job, paintsUsed } from '../job';
import { box, makeJob, words } from '../../testing/jobs';
import {
  mergedInks,
  mergedSwatches,
  nearDuplicates,
  unusedColours,
  withInk,
  withoutInk,
  withSwatch,
  withoutSwatch,
} from './inks';
import { withSwatchesOf } from './swatches';

const SILVER = { name: 'Silver', finish: 'metallic', c: 0, m: 0, y: 0, k: 40 } as const;
const NIGHT = { name: 'Night', finish: 'plain', c: 90, m: 80, y: 20, k: 30 } as const;
const spot = (ink: string, tint = 100) => ({ kind: 'spot' as const, c: 0, m: 0, y: 0, k: 0, spots: [{ ink, tint }] });

const job = makeJob(
  [
    box('a', [10, 10, 20, 20], { fill: spot('Silver', 50) }),
    box('b', [40, 10, 20, 20], { fill: { kind: 'swatch', swatch: 'headings', tint: 100 } }),
    words('c', 'Moon', [10, 60, 80, 20], { paint: { kind: 'swatch', swatch: 'headings', tint: 40 } }),
  ],
  { inks: [SILVER, NIGHT], swatches: [{ name: 'headings', paint: { kind: 'process', c: 80, m: 60, y: 0, k: 20 } }] },
);
const used = (of: Job) => [...paintsUsed(of).keys()];
const fillOf = (of: Job, id: string) => {
  const [piece] = of.pieces;
  const found = piece && elementsOn(piece, 'front').find((e) => e.id === id);
  return found?.kind === 'shape' ? found.fill : undefined;
};

test('an ink’s new name goes to what is printed with it', () => {
  const renamed = withInk(job, { ...SILVER, name: 'Pale silver' }, 'Silver');
  expect(renamed.inks?.map((i) => i.name)).toEqual(['Pale silver', 'Night']);
  expect(fillOf(renamed, 'a')).toEqual(spot('Pale silver', 50));
});

test('without its ink a colour takes the build that showed it', () => {
  expect(fillOf(withoutInk(job, 'Silver'), 'a')).toEqual({ kind: 'process', c: 0, m: 0, y: 0, k: 20 });
});

test('two inks as one: shares are added, at most all', () => {
  const mixed = makeJob(
    [
      box('a', [10, 10, 20, 20], {
        fill: {
          ...spot('Silver', 70),
          spots: [
            { ink: 'Silver', tint: 70 },
            { ink: 'Night', tint: 60 },
          ],
        },
      }),
    ],
    { inks: [SILVER, NIGHT] },
  );
  const merged = mergedInks(mixed, 'Night', 'Silver');
  expect(fillOf(merged, 'a')).toEqual(spot('Silver', 100));
  expect(merged.inks).toEqual([SILVER]);
});

test('a named colour without its name keeps its inks, tints too', () => {
  const plain = withoutSwatch(job, 'headings');
  expect(used(plain)).toEqual(expect.arrayContaining(['80 60 0 20', '32 24 0 8']));
  expect(used(plain).some((words) => words.includes('headings'))).toBe(false);
});

test('two named colours as one', () => {
  const two = withSwatch(job, { name: 'rules', paint: { kind: 'process', c: 79, m: 60, y: 0, k: 21 } });
  const merged = mergedSwatches(two, 'headings', 'rules');
  expect(used(merged)).toEqual(expect.arrayContaining(['“rules”', '“rules” 40 %']));
  expect(merged.swatches?.map((s) => s.name)).toEqual(['rules']);
});

test('what nothing uses is found, and what passes for one', () => {
  expect(unusedColours(job)).toEqual({ inks: ['Night'], swatches: [] });
  const labs = new Map([
    ['x', { L: 50, a: 10, b: 0 }],
    ['y', { L: 50.5, a: 10.5, b: 0 }],
    ['z', { L: 80, a: 0, b: 0 }],
  ]);
  const pairs = nearDuplicates(
    [{ name: 'x' }, { name: 'y' }, { name: 'z' }],
    ({ name }) => labs.get(name) ?? { L: 0, a: 0, b: 0 },
  );
  expect(pairs.map(({ one, two }) => `${one.name} ${two.name}`)).toEqual(['x y']);
});

describe('colours from a file', () => {
  const names = (text: string) => {
    const read = withSwatchesOf(job, text);
    return typeof read === 'string' ? read : read.swatches?.map((s) => [s.name, s.paint.kind]);
  };
  test('builds in a column or in four, sRGB, inks of the job; a heading row is none', () => {
    expect(names('Name;C;M;Y;K\nnight;90;80;20;30\npaper edge;2;6;26;0')).toEqual([
      ['headings', 'process'],
      ['night', 'process'],
      ['paper edge', 'process'],
    ]);
    expect(names('sun,"0 14 78 0"\nscreen,#1f2b5a\nrim,Silver 60')).toEqual([
      ['headings', 'process'],
      ['sun', 'process'],
      ['screen', 'rgb'],
      ['rim', 'spot'],
    ]);
  });
  test('a name that is there takes the file’s colour', () => {
    expect(names('headings,"0 0 0 80"')).toEqual([['headings', 'process']]);
  });
  test('what cannot be read says its row', () => {
    expect(names('a,"0 0 0 10"\nb,"0 0 300 0"')).toMatch(/^Row 2/);
    expect(names('Name,Colour')).toBe('There is no colour in it.');
  });
});
