import fc from 'fast-check';
import { openShipped } from '../../output';
import { run } from '../../testing/programs';
import { deltaE2000, inkLimiter, type Lab } from './index';

/** How builds look on coated paper, by Little CMS’s own command line. */
function seen(rows: readonly (readonly number[])[]): readonly Lab[] {
  const out = run(
    'transicc',
    ['-c0', '-n', '-t1', '-i', 'assets/profiles/coated-fogra39.icc', '-o', '*Lab'],
    `${rows.map((r) => r.join(' ')).join('\n')}\n`,
  );
  return out
    .split('\n')
    .map((text) => text.trim().split(/\s+/).map(Number))
    .filter((r) => r.length >= 3 && r.every(Number.isFinite))
    .map(([L = 0, a = 0, b = 0]) => ({ L, a, b }));
}

const percent = (pixels: Uint8Array): number[][] =>
  Array.from({ length: pixels.length / 4 }, (_, i) => Array.from(pixels.subarray(i * 4, i * 4 + 4), (v) => v / 2.55));

describe.each([300, 280, 240])('ink held to %d %', (limit) => {
  const random = fc.sample(fc.tuple(fc.nat(255), fc.nat(255), fc.nat(255), fc.nat(255)), { seed: 3, numRuns: 2000 });
  const over = random.filter((b) => b.reduce((sum, v) => sum + v, 0) > limit * 2.55);

  test('no build has more; what had less stays to the bit; colours stay, as transicc sees them', async () => {
    const { cmykToLab } = (await openShipped('coated-fogra39')).pictures();
    const limited = inkLimiter(limit, cmykToLab);
    const before = Uint8Array.from(random.flat());
    const after = limited(before);
    const [was, is] = [percent(before), percent(after)];
    is.forEach((build) => expect(build.reduce((sum, v) => sum + v, 0)).toBeLessThanOrEqual(limit + 0.01));
    was.forEach((build, i) => build.reduce((sum, v) => sum + v, 0) <= limit && expect(is[i]).toEqual(build));
    const picked = limited(Uint8Array.from(over.flat()));
    const [old, made] = [seen(percent(Uint8Array.from(over.flat()))), seen(percent(picked))];
    const differences = old.map((lab, i) => deltaE2000(lab, made[i] ?? { L: 0, a: 0, b: 0 })).sort((a, b) => a - b);
    const mean = differences.reduce((sum, d) => sum + d, 0) / differences.length;
    console.log(
      `held to ${limit} %: ${over.length} builds, mean ΔE2000 ${mean.toFixed(2)}, nine in ten under ` +
        `${(differences[Math.floor(differences.length * 0.9)] ?? 0).toFixed(2)}, worst ` +
        (differences.at(-1) ?? 0).toFixed(2),
    );
    // The most saturated have nothing grey that black could take over.
    expect(mean).toBeLessThan(limit < 280 ? 1.2 : 0.7);
  });
});
