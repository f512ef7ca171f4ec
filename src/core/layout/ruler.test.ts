import { JOB_UNITS } from '../measure';
import { rulerTicks } from './ruler';

const labels = (...of: Parameters<typeof rulerTicks>) => rulerTicks(...of).flatMap(({ label }) => label ?? []);

test('as fine as there is room for: millimetres in tens, in hundreds, and in ones', () => {
  expect(labels(0, 40, 5, 'mm')).toEqual(['0', '10', '20', '30', '40']);
  expect(labels(0, 500, 0.5, 'mm')).toEqual(['0', '100', '200', '300', '400', '500']);
  expect(labels(0, 3, 60, 'mm')).toEqual(['0', '1', '2', '3']);
  expect(labels(-20, 20, 5, 'mm')).toEqual(['-20', '-10', '0', '10', '20']);
});

test('an inch is halved, feet go by twelve: 25.4 mm and 304.8 mm', () => {
  const inches = rulerTicks(0, 50.8, 2.7, 'in');
  expect(inches.filter(({ label }) => label === '1').map(({ at }) => at)).toEqual([25.4]);
  expect(inches[1]?.at).toBeCloseTo(25.4 / 8, 9);
  expect(labels(0, 1000, 0.15, 'in')).toEqual(['0', '12', '24', '36']);
});

test.each(JOB_UNITS)(
  'in %s at any scale: lines no nearer than they can be told apart, a number on some of them',
  (unit) => {
    for (const scale of [0.02, 0.1, 0.5, 1, 3, 12, 40, 200]) {
      const ticks = rulerTicks(0, 900 / scale, scale, unit);
      const steps = ticks.slice(1).map(({ at }, i) => (at - (ticks[i]?.at ?? 0)) * scale);
      for (const step of steps) expect(step).toBeGreaterThan(5.99);
      expect(ticks.length).toBeLessThan(152);
      expect(ticks.some(({ label }) => label !== undefined)).toBe(true);
    }
  },
);
