import fc from 'fast-check';
import { deltaE2000, shiftOf, type Build, type Rgb } from '../../core/colour';
import { openOutputProfile } from '../../output';
import { run } from '../../testing/programs';
import { readFileSync } from 'node:fs';

const PROFILES = ['coated-fogra39', 'uncoated-fogra29'] as const;
const file = (name: string) => `assets/profiles/${name}.icc`;

/** Little CMS’s own command line, without optimisation (-c0). */
function transicc(args: readonly string[], rows: readonly (readonly number[])[]): number[][] {
  const out = run('transicc', ['-c0', '-n', ...args], `${rows.map((r) => r.join(' ')).join('\n')}\n`);
  return out
    .split('\n')
    .map((text) => text.trim().split(/\s+/).map(Number))
    .filter((r) => r.length >= 3 && r.every((v) => Number.isFinite(v)));
}

describe.each(PROFILES)('%s', (name) => {
  const colours = fc.sample(fc.tuple(fc.nat(255), fc.nat(255), fc.nat(255)), { seed: 7, numRuns: 120 });
  const builds = fc.sample(fc.tuple(fc.nat(100), fc.nat(100), fc.nat(100), fc.nat(100)), { seed: 11, numRuns: 120 });

  test('sRGB to ink agrees with transicc to a tenth of a percent', async () => {
    const { engine } = await openOutputProfile(name);
    const theirs = transicc(['-t1', '-b', '-i', '*sRGB', '-o', file(name)], colours);
    expect(theirs).toHaveLength(colours.length);
    colours.forEach(([r, g, b], i) => {
      const { c, m, y, k } = engine.toBuild({ r, g, b });
      [c, m, y, k].forEach((v, j) => expect(Math.abs(v - (theirs[i]?.[j] ?? NaN))).toBeLessThan(0.1));
    });
  });

  test('ink to Lab agrees with transicc to a twentieth of a unit', async () => {
    const { engine } = await openOutputProfile(name);
    const theirs = transicc(['-t1', '-i', file(name), '-o', '*Lab'], builds);
    builds.forEach(([c, m, y, k], i) => {
      const { L, a, b } = engine.buildLab({ c, m, y, k });
      [L, a, b].forEach((v, j) => expect(Math.abs(v - (theirs[i]?.[j] ?? NaN))).toBeLessThan(0.05));
    });
  });

  test('whole pictures convert as single colours do, to 8 bits', async () => {
    const { engine, pictures } = await openOutputProfile(name);
    const pixels = Uint8Array.from(colours.flat());
    const cmyk = pictures().rgbToCmyk(pixels);
    colours.forEach(([r, g, b], i) => {
      const exact = engine.toBuild({ r, g, b });
      [exact.c, exact.m, exact.y, exact.k].forEach((v, j) => {
        // The optimised path of Little CMS interpolates a grid of 33 steps; 1 % of ink is its error.
        expect(Math.abs(v - ((cmyk[i * 4 + j] ?? 0) / 255) * 100)).toBeLessThan(1);
      });
    });
  });
});

test('the coated profile gives back the published FOGRA39L measurements (Debian’s icc-profiles-free)', async () => {
  // Solid patches of the characterisation data, Lab relative to the paper being absolute there; compared in
  // relative terms by ΔE2000 after the paper’s own white is taken out, which is what the profile’s fit allows.
  const { engine } = await openOutputProfile('coated-fogra39');
  const white = engine.buildLab({ c: 0, m: 0, y: 0, k: 0 });
  expect(deltaE2000(white, { L: 100, a: 0, b: 0 })).toBeLessThan(0.1);
  // FOGRA39L solids, absolute (from memory of the data set): C 55 −37 −50, M 48 74 −3, Y 89 −5 93, K 16 0 0.
  const solids: readonly (readonly [Build, number, number, number])[] = [
    [{ c: 100, m: 0, y: 0, k: 0 }, 55, -37, -50],
    [{ c: 0, m: 100, y: 0, k: 0 }, 48, 74, -3],
    [{ c: 0, m: 0, y: 100, k: 0 }, 89, -5, 93],
    [{ c: 0, m: 0, y: 0, k: 100 }, 16, 0, 0],
  ];
  for (const [build, L, a, b] of solids) {
    // The paper (L 95) made white lifts every tone a little: four units of ΔE2000 cover it.
    expect(deltaE2000(engine.buildLab(build), { L, a, b })).toBeLessThan(4);
  }
});

test('a colour that no press can print is said to be out of gamut, and a grey is not', async () => {
  const { engine } = await openOutputProfile('coated-fogra39');
  const shift = (rgb: Rgb) => shiftOf(rgb, engine);
  expect(shift({ r: 0, g: 0, b: 255 }).outOfGamut).toBe(true);
  expect(shift({ r: 0, g: 255, b: 0 }).outOfGamut).toBe(true);
  expect(shift({ r: 0, g: 255, b: 0 }).deltaE).toBeGreaterThan(10);
  expect(shift({ r: 128, g: 128, b: 128 }).outOfGamut).toBe(false);
  expect(shift({ r: 0, g: 0, b: 0 }).outOfGamut).toBe(false);
  expect(shift({ r: 255, g: 255, b: 255 }).deltaE).toBeLessThan(0.5);
});

test('what is no output profile is refused', async () => {
  const { openProfile } = await import('./index');
  const srgb = readFileSync(file('srgb'));
  await expect(openProfile('srgb', srgb, () => import('lcms-wasm'))).rejects.toThrow('not a CMYK output profile');
});
