/** Normal tails against Python’s statistics.NormalDist, and against tables that were published. */
import { python } from '../../testing/programs';
import { CUT_OFF, normalCdf, seededRandom, truncatedNormal, truncatedQuantile, truncatedTail } from './index';

const STEPS = Array.from({ length: 121 }, (_, i) => (i - 60) / 10);

test('as Python’s statistics package has it, to fifteen decimals, from −6 to 6', () => {
  const theirs = python(
    'from statistics import NormalDist\nprint(json.dumps([NormalDist().cdf(z) for z in data]))',
    STEPS,
  );
  for (const [i, p] of (theirs as number[]).entries())
    expect(Math.abs(normalCdf(STEPS[i] ?? 0) - p)).toBeLessThan(1e-15);
});

test.each([
  // Abramowitz and Stegun, Handbook of Mathematical Functions (1964), table 26.1.
  [0, 0.5],
  [1, 0.841344746068543],
  [2, 0.977249868051821],
  [3, 0.99865010196837],
])('P(%s) of the handbook’s table', (z, p) => expect(normalCdf(z)).toBeCloseTo(p, 14));

test('cut off at three, what is left is all there is', () => {
  expect([truncatedTail(-CUT_OFF), truncatedTail(0), truncatedTail(CUT_OFF)]).toEqual([1, 0.5, 0]);
  expect(truncatedTail(2) + truncatedTail(-2)).toBeCloseTo(1, 14);
  const theirs = python(
    'from statistics import NormalDist as N\nn = N()\nb = n.cdf(-3)\n' +
      'print(json.dumps([(n.cdf(-z) - b) / (1 - 2 * b) for z in data]))',
    STEPS.filter((z) => Math.abs(z) <= CUT_OFF),
  ) as number[];
  const ours = STEPS.filter((z) => Math.abs(z) <= CUT_OFF).map(truncatedTail);
  for (const [i, p] of theirs.entries()) expect(ours[i]).toBeCloseTo(p, 13);
});

test('what is exceeded one time in a thousand, and back', () => {
  for (const tail of [0.001, 0.02, 0.3, 0.5, 0.9]) expect(truncatedTail(truncatedQuantile(tail))).toBeCloseTo(tail, 12);
  expect(truncatedQuantile(0)).toBeCloseTo(CUT_OFF, 12);
});

test('numbers drawn have the moments and tails of the distribution, and are the same for the same seed', () => {
  const draw = (seed: number) => {
    const random = seededRandom(seed);
    return Array.from({ length: 100_000 }, () => truncatedNormal(random));
  };
  const list = draw(7);
  expect(draw(7)).toEqual(list);
  expect(draw(8)).not.toEqual(list);
  const mean = list.reduce((a, b) => a + b, 0) / list.length;
  const variance = list.reduce((a, b) => a + b * b, 0) / list.length;
  // The variance of a normal number cut off at c is 1 − 2cφ(c) ÷ (2Φ(c) − 1).
  const density = Math.exp((-CUT_OFF * CUT_OFF) / 2) / Math.sqrt(2 * Math.PI);
  const wanted = 1 - (2 * CUT_OFF * density) / (2 * normalCdf(CUT_OFF) - 1);
  // Within four standard errors.
  expect(Math.abs(mean)).toBeLessThan(4 / Math.sqrt(list.length));
  expect(Math.abs(variance - wanted)).toBeLessThan(4 * Math.sqrt(2 / list.length));
  for (const z of [0.5, 1, 2]) {
    const p = truncatedTail(z);
    const share = list.filter((v) => v > z).length / list.length;
    expect(Math.abs(share - p)).toBeLessThan(4 * Math.sqrt((p * (1 - p)) / list.length));
  }
});
