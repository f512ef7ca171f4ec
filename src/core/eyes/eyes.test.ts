/** How a piece is seen: acuity, contrast and colour vision, against published figures and worked examples. */
import { openDesk } from '../../output';
import { box, inMemory, makeJob, shape, words } from '../../testing/jobs';
import { gradient, process } from '../../testing/plates';
import type { Element } from '../job';
import {
  apartFrom,
  blurFrom,
  capitalsFrom,
  contrast,
  contrastsOn,
  luminance,
  matrixOf,
  seenBy,
  typeFrom,
  VISIONS,
} from './index';

const grey = (v: number) => ({ r: v, g: v, b: v });

describe('acuity', () => {
  test('a chart letter at 6 m is 8.7 mm high, its detail a fifth (the 6/6 line of the chart, published)', () => {
    expect(capitalsFrom(6000)).toBeCloseTo(8.73, 2);
    expect(apartFrom(6000)).toBeCloseTo(1.745, 3);
  });

  test('the blur is half as high where two points run together', () => {
    const sigma = blurFrom(3000);
    const at = apartFrom(3000) / 2;
    expect(Math.exp(-(at ** 2) / (2 * sigma ** 2))).toBeCloseTo(0.5, 9);
  });

  test('type at arm’s length, and across a hall: worked by hand', () => {
    // 500 × tan(1/60°) × 5 = 0.727 mm; ÷ 0.7 = 1.039 mm = 2.94 pt.
    expect(typeFrom(500)).toBeCloseTo(2.945, 2);
    expect(typeFrom(10_000)).toBeCloseTo(58.9, 1);
  });
});

describe('contrast (WCAG 2.2)', () => {
  test.each([
    // Published pairs: black on white, the greys that just pass and just fail 4.5 on white, and the primaries.
    [grey(0), grey(255), 21, 2],
    [grey(0x76), grey(255), 4.54, 2],
    [grey(0x77), grey(255), 4.48, 2],
    [grey(0x94), grey(255), 3.03, 1],
    [{ r: 255, g: 0, b: 0 }, grey(255), 4.0, 2],
    [{ r: 0, g: 0, b: 255 }, grey(255), 8.59, 2],
  ])('%j on %j', (a, b, ratio, digits) => {
    expect(contrast(a, b)).toBeCloseTo(ratio, digits);
    expect(contrast(b, a)).toBe(contrast(a, b));
  });

  test('white is 1, black 0', () => {
    expect([luminance(grey(255)), luminance(grey(0))]).toEqual([1, 0]);
  });
});

describe('colour vision (Machado, Oliveira and Fernandes 2009, severity 1.0)', () => {
  test.each(VISIONS.filter((v) => v !== 'usual'))('%s: greys stay grey, rows add up to one', (vision) => {
    for (const row of matrixOf(vision) ?? []) expect(row.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 5);
    for (const v of [0, 64, 128, 255]) {
      const seen = seenBy(vision, grey(v));
      for (const channel of ['r', 'g', 'b'] as const) expect(seen[channel]).toBeCloseTo(v, 1);
    }
  });

  test('without long cones red is dark; without middle ones red and green come near each other', () => {
    const red = { r: 220, g: 40, b: 40 };
    expect(luminance(seenBy('protan', red))).toBeLessThan(0.6 * luminance(red));
    const far = (v: 'usual' | 'deutan') => {
      const [a, b] = [seenBy(v, { r: 200, g: 80, b: 60 }), seenBy(v, { r: 120, g: 140, b: 60 })];
      return Math.hypot(a.r - b.r, a.g - b.g, a.b - b.b);
    };
    expect(far('deutan')).toBeLessThan(0.5 * far('usual'));
  });
});

describe('words against what lies under them', () => {
  const paper = { r: 255, g: 255, b: 255 };
  const at = async (elements: readonly Element[]) => {
    const { sides, colour } = await openDesk(makeJob(elements), inMemory());
    const [side] = sides;
    return side ? contrastsOn(side.drawing, { toRgb: colour.toRgb, paper, vision: 'usual' }) : [];
  };
  const text = (id: string, y: number, k: number, sizePt = 10) =>
    words(id, 'Open night', [20, y, 100, 16], { sizePt, paint: process(0, 0, 0, k) });

  test('the worst first, held to what their size wants', async () => {
    const found = await at([text('faint', 20, 30), text('strong', 40, 100), text('large', 60, 55, 24)]);
    expect(found.map(({ element }) => element)).toEqual(['faint', 'large', 'strong']);
    expect(found.map(({ wanted }) => wanted)).toEqual([4.5, 3, 4.5]);
    const [faint, , strong] = found;
    expect(faint?.ratio).toBeLessThan(2.5);
    expect(strong?.ratio).toBeGreaterThan(10);
  });

  test('the uppermost flat colour counts, not the paper', async () => {
    const panel = box('panel', [10, 10, 120, 40], { fill: process(0, 0, 0, 100) });
    const white = words('white', 'Open night', [20, 20, 80, 10], { sizePt: 10, paint: { kind: 'paper' } });
    const [onPanel] = await at([panel, text('lost', 20, 90)]);
    expect(onPanel?.ratio).toBeLessThan(2);
    const others = await at([panel, white]);
    expect(others.every(({ ratio }) => ratio > 10)).toBe(true);
  });

  test('what stands on a gradient or on a shape that does not fill its box has no one colour under it', async () => {
    const stops = [
      [0, process(0, 0, 0, 0)],
      [1, process(0, 0, 0, 100)],
    ] as const;
    expect(await at([box('run', [0, 0, 148, 80], { fill: gradient('linear', stops) }), text('on', 20, 100)])).toEqual(
      [],
    );
    const veil = box('veil', [0, 0, 148, 80], { fill: process(0, 0, 0, 60), opacity: 0.5 });
    expect(await at([veil, text('on', 20, 100)])).toEqual([]);
    const glow = { effect: 'glow', paint: process(0, 0, 0, 60), blur: 2 } as const;
    expect(await at([words('lit', 'Open night', [20, 20, 100, 16], {}, { effects: [glow] })])).toEqual([]);
    const round = shape('round', [10, 0, 120, 60], { form: 'ellipse' });
    expect(await at([round, text('on', 20, 100)])).toEqual([]);
  });
});
