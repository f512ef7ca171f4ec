/** How likely a gap between two plates is: the formula against copies that Python draws, and against its own limits. */
import { python } from '../../testing/programs';
import { gapChance } from './index';

test('as a hundred thousand pairs of plates that Python’s random numbers set', () => {
  const cases = [
    [0.1, 0.05],
    [0.3, 0.05],
    [0.08, 0.1],
  ];
  const theirs = python(
    'import random\nrandom.seed(7)\n' +
      'def off(s):\n  while True:\n    z = random.gauss(0, 1)\n    if abs(z) <= 3: return z * s\n' +
      'def share(drift, seen, n=100000):\n  s = drift / 2\n' +
      '  return sum(1 for _ in range(n) if abs(off(s)-off(s)) > seen or abs(off(s)-off(s)) > seen) / n\n' +
      'print(json.dumps([share(*c) for c in data]))',
    cases,
  ) as number[];
  // Four standard errors of a share of 100,000 are less than 0.007.
  for (const [i, [drift = 0, seen = 0]] of cases.entries())
    expect(Math.abs(gapChance(drift, seen) - (theirs[i] ?? 0))).toBeLessThan(0.007);
});

test('none where plates are true, none beyond what both can be off, always where nothing is too small to see', () => {
  expect(gapChance(0, 0.05)).toBe(0);
  expect(gapChance(0.1, 0.31)).toBeCloseTo(0, 6);
  expect(gapChance(0.1, 0)).toBeCloseTo(1, 3);
});
