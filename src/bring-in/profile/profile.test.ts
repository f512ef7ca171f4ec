import fc from 'fast-check';
import {
  INTENTS,
  USUAL,
  conversionKey,
  deltaE2000,
  greyBalance,
  readConversion,
  neighboursOf,
  shiftOf,
  type Lab,
  type Rgb,
} from '../../core/colour';
import { loadLittleCms, openConversion, openShipped } from '../../output';
import { run } from '../../testing/programs';
import { readFileSync } from 'node:fs';
import { readProfileFile } from './read-profile';

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
  const colours = fc.sample(fc.tuple(fc.nat(255), fc.nat(255), fc.nat(255)), { seed: 7, numRuns: 1000 });
  const builds = fc.sample(fc.tuple(fc.nat(100), fc.nat(100), fc.nat(100), fc.nat(100)), { seed: 11, numRuns: 1000 });

  test('sRGB to ink agrees with transicc to a tenth of a percent', async () => {
    const { engine } = await openShipped(name);
    const theirs = transicc(['-t1', '-b', '-i', '*sRGB', '-o', file(name)], colours);
    expect(theirs).toHaveLength(colours.length);
    colours.forEach(([r, g, b], i) => {
      const { c, m, y, k } = engine.toBuild({ r, g, b });
      [c, m, y, k].forEach((v, j) => expect(Math.abs(v - (theirs[i]?.[j] ?? NaN))).toBeLessThan(0.1));
    });
  });

  test('ink to Lab agrees with transicc to a twentieth of a unit', async () => {
    const { engine } = await openShipped(name);
    const theirs = transicc(['-t1', '-i', file(name), '-o', '*Lab'], builds);
    builds.forEach(([c, m, y, k], i) => {
      const { L, a, b } = engine.buildLab({ c, m, y, k });
      [L, a, b].forEach((v, j) => expect(Math.abs(v - (theirs[i]?.[j] ?? NaN))).toBeLessThan(0.05));
    });
  });

  test('ink to sRGB agrees with transicc to half a level of 255', async () => {
    const { engine } = await openShipped(name);
    const theirs = transicc(['-t1', '-b', '-i', file(name), '-o', '*sRGB'], builds);
    builds.forEach(([c, m, y, k], i) => {
      const { r, g, b } = engine.toRgb({ c, m, y, k });
      // What lies outside sRGB is printed beyond its ends.
      [r, g, b].forEach((v, j) =>
        expect(Math.abs(v - Math.min(255, Math.max(0, theirs[i]?.[j] ?? NaN)))).toBeLessThan(0.5),
      );
    });
  });

  test('Lab to ink agrees with transicc to a tenth of a percent', async () => {
    const { engine } = await openShipped(name);
    const labs = builds.map(([c, m, y, k]) => engine.buildLab({ c, m, y, k }));
    const theirs = transicc(
      ['-t1', '-i', '*Lab', '-o', file(name)],
      labs.map(({ L, a, b }) => [L, a, b]),
    );
    labs.forEach((lab, i) => {
      const { c, m, y, k } = engine.fromLab(lab);
      [c, m, y, k].forEach((v, j) => expect(Math.abs(v - (theirs[i]?.[j] ?? NaN))).toBeLessThan(0.1));
    });
  });

  test('whole pictures convert as single colours do, to 8 bits', async () => {
    const { engine, pictures } = await openShipped(name);
    const pixels = Uint8Array.from(colours.flat());
    const cmyk = pictures().rgbToCmyk(pixels);
    colours.forEach(([r, g, b], i) => {
      const exact = engine.toBuild({ r, g, b });
      [exact.c, exact.m, exact.y, exact.k].forEach((v, j) => {
        // The optimised path of Little CMS interpolates a grid; about 1 % of ink is its error at the edge of the gamut.
        expect(Math.abs(v - ((cmyk[i * 4 + j] ?? 0) / 255) * 100)).toBeLessThan(1.1);
      });
    });
  });
});

/** D50 as ICC profiles have it (ICC.1, 6.3.4.3). */
const D50 = [0.9642, 1, 0.8249] as const;

/** CIE L*a*b* of XYZ over D50 (CIE 15:2004). */
function labOf([x = 0, y = 0, z = 0]: readonly number[]): Lab {
  const f = (t: number) => (t > 216 / 24389 ? Math.cbrt(t) : (24389 / 27) * (t / 116) + 16 / 116);
  const [fx, fy, fz] = [f(x / D50[0]), f(y / D50[1]), f(z / D50[2])];
  return { L: 116 * fy - 16, a: 500 * (fx - fy), b: 200 * (fy - fz) };
}

test.each([
  ['coated-fogra39', 'FOGRA39L', 300],
  ['uncoated-fogra29', 'FOGRA29L', 280],
] as const)(
  '%s gives back the published measurements of %s (Debian’s icc-profiles-free), relative to their paper',
  async (name, data, limit) => {
    const { engine } = await openShipped(name);
    const rows = readFileSync(`/usr/share/color/icc/${data}.ti3`, 'utf8')
      .split('\n')
      .map((row) => row.trim().split(/\s+/).map(Number))
      .filter((row) => row.length === 11 && row.every(Number.isFinite));
    const [white] = rows.filter(([, ...inks]) => inks.slice(0, 4).every((v) => v === 0));
    if (!white) throw new Error('the data has no bare paper');
    expect(rows.length).toBeGreaterThan(1000);
    const found = rows.map(([, c = 0, m = 0, y = 0, k = 0, ...xyz]) => {
      const relative = [0, 1, 2].map((i) => ((xyz[i] ?? 0) / (white[5 + i] ?? 1)) * (D50[i] ?? 1));
      return { total: c + m + y + k, deltaE: deltaE2000(engine.buildLab({ c, m, y, k }), labOf(relative)) };
    });
    const mean = (list: typeof found) => list.reduce((sum, f) => sum + f.deltaE, 0) / list.length;
    const printable = found.filter((f) => f.total <= limit);
    expect(mean(printable)).toBeLessThan(0.4);
    expect(Math.max(...printable.map((f) => f.deltaE))).toBeLessThan(2);
  },
);

test('a colour that no press can print is said to be out of gamut, and a grey is not', async () => {
  const { engine } = await openShipped('coated-fogra39');
  const shift = (rgb: Rgb) => shiftOf(rgb, engine);
  expect(shift({ r: 0, g: 0, b: 255 }).outOfGamut).toBe(true);
  expect(shift({ r: 0, g: 255, b: 0 }).outOfGamut).toBe(true);
  expect(shift({ r: 0, g: 255, b: 0 }).deltaE).toBeGreaterThan(10);
  expect(shift({ r: 128, g: 128, b: 128 }).outOfGamut).toBe(false);
  expect(shift({ r: 0, g: 0, b: 0 }).outOfGamut).toBe(false);
  expect(shift({ r: 255, g: 255, b: 255 }).deltaE).toBeLessThan(0.5);
});

test('neighbours of a colour outside are inside, of its hue, and the nearest is nearer than the others', async () => {
  const { engine } = await openShipped('coated-fogra39');
  for (const rgb of [
    { r: 0, g: 255, b: 60 },
    { r: 20, g: 20, b: 255 },
    { r: 255, g: 0, b: 200 },
  ]) {
    const wanted = engine.rgbLab(rgb);
    const found = neighboursOf(rgb, engine);
    expect(found.length).toBeGreaterThan(0);
    for (const { build, deltaE } of found) {
      const shown = engine.buildLab(build);
      const turn = Math.abs(Math.atan2(shown.b, shown.a) - Math.atan2(wanted.b, wanted.a));
      // Across the hue by less than the eye minds.
      expect(Math.min(turn, 2 * Math.PI - turn) * Math.hypot(shown.a, shown.b)).toBeLessThan(6);
      expect(deltaE).toBeGreaterThanOrEqual((found[0]?.deltaE ?? 0) - 0.5);
    }
  }
});

test('grey balance of coated paper is near ISO 12647-2:2004 (25/19/19, 50/40/40, 75/64/64, from memory)', async () => {
  const { engine } = await openShipped('coated-fogra39');
  const steps = greyBalance(engine, [25, 50, 75]);
  const published = [
    [19, 19],
    [40, 40],
    [64, 64],
  ];
  steps.forEach(({ build, cast }, i) => {
    const lab = engine.buildLab(build);
    expect(Math.hypot(lab.a, lab.b)).toBeLessThan(0.1);
    expect(Math.abs(build.m - (published[i]?.[0] ?? NaN))).toBeLessThan(6);
    expect(Math.abs(build.y - (published[i]?.[1] ?? NaN))).toBeLessThan(6);
    // In equal parts the three make a brown.
    expect(cast.a).toBeGreaterThan(1);
  });
});

const WAYS = INTENTS.flatMap((intent) => [true, false].map((blackPoint) => ({ intent, blackPoint })));
/** As `transicc` numbers them. */
const THEIR_INTENT = { perceptual: '0', relative: '1', saturation: '2', absolute: '3' } as const;

test.each(WAYS)(
  'sRGB to ink, $intent, black compensated: $blackPoint, agrees with transicc',
  async ({ intent, blackPoint }) => {
    const key = conversionKey({ profile: 'coated-fogra39', intent, blackPoint });
    expect(readConversion(key)).toEqual({ profile: 'coated-fogra39', intent, blackPoint });
    const { engine, pictures } = await openConversion(key, { get: () => Promise.resolve(undefined) });
    const colours = fc.sample(fc.tuple(fc.nat(255), fc.nat(255), fc.nat(255)), { seed: 23, numRuns: 250 });
    // Black is not compensated where the white is the paper’s own.
    const compensate = blackPoint && intent !== 'absolute' ? ['-b'] : [];
    const theirs = transicc(
      [`-t${THEIR_INTENT[intent]}`, ...compensate, '-i', '*sRGB', '-o', file('coated-fogra39')],
      colours,
    );
    const whole = pictures().rgbToCmyk(Uint8Array.from(colours.flat()));
    colours.forEach(([r, g, b], i) => {
      const { c, m, y, k } = engine.toBuild({ r, g, b });
      [c, m, y, k].forEach((v, j) => {
        expect(Math.abs(v - (theirs[i]?.[j] ?? NaN))).toBeLessThan(0.1);
        // A picture goes through a table: within 1 % of ink, and half a level of its 255.
        expect(Math.abs((whole[i * 4 + j] ?? NaN) / 2.55 - v)).toBeLessThan(1.3);
      });
    });
  },
);

/** The CMYK profile that Ghostscript ships: somebody else’s, to be brought in. */
const THEIR_PROFILE = '/usr/share/color/icc/ghostscript/default_cmyk.icc';

test('a profile that is brought in converts as transicc converts with it', async () => {
  const bytes = readFileSync(THEIR_PROFILE);
  const read = await readProfileFile('house.icc', bytes, loadLittleCms);
  if (!read.ok) throw new Error(read.problem);
  expect(read.profile.about).not.toBe('');
  const { engine } = await openConversion(`icc-${'ab'.repeat(32)}`, { get: () => Promise.resolve(bytes) });
  const colours = fc.sample(fc.tuple(fc.nat(255), fc.nat(255), fc.nat(255)), { seed: 29, numRuns: 250 });
  const theirs = transicc(['-t1', '-b', '-i', '*sRGB', '-o', THEIR_PROFILE], colours);
  colours.forEach(([r, g, b], i) => {
    const { c, m, y, k } = engine.toBuild({ r, g, b });
    [c, m, y, k].forEach((v, j) => expect(Math.abs(v - (theirs[i]?.[j] ?? NaN))).toBeLessThan(0.1));
  });
});

test.each([
  ['the profile of a screen', () => readFileSync(file('srgb')), /is a profile for RGB colours/],
  ['a file cut short', () => readFileSync(file('coated-fogra39')).subarray(0, 2000), /cannot be read/],
  ['something else', () => Buffer.from('%PDF-1.7'), /cannot be read/],
])('%s is refused, and why', async (_what, bytes, why) => {
  const read = await readProfileFile('house.icc', bytes(), loadLittleCms);
  expect(read).toEqual({ ok: false, problem: expect.stringMatching(why) as string });
});

test('what is no output profile is refused', async () => {
  const { openProfile } = await import('./index');
  const srgb = readFileSync(file('srgb'));
  await expect(openProfile('srgb', srgb, () => import('lcms-wasm'), USUAL)).rejects.toThrow(
    'not a CMYK output profile',
  );
});
