/** What machines do to copies: counted copies against formulas, and against sums worked out by Python. */
import { begin, makeJob, shape } from '../../testing/jobs';
import { drawnJobOf } from '../../testing/drawn';
import { python } from '../../testing/programs';
import { inMemory } from '../../testing/jobs';
import { openDesk } from '../../output';
import { blankOf, rulesFor, type Element, type Job } from '../job';
import { House } from '../shop';
import {
  borderOf,
  chanceOfCut,
  cutChance,
  cutClearance,
  drawCopies,
  driftSide,
  edgeAt,
  edgeMiddles,
  exceededBy,
  figureAt,
  inAThousand,
  suggestedBy,
  type DriftSide,
  type Line,
} from './index';

const FIGURES = { drift: 1, turn: 0, pile: 0, deeper: 0 };
const PILED = { ...FIGURES, pile: 80, deeper: 0.1 };
const NONE = { ...FIGURES, drift: 0 };

const line = (more: Partial<Line> = {}): Line => ({
  trimming: { by: 'guillotine', moves: 'edges', figures: FIGURES, rule: '' },
  back: NONE,
  folder: { ...FIGURES, drift: 0.5 },
  folds: 0,
  passes: [],
  thickness: 0.1,
  ...more,
});

const knife = (figures: typeof FIGURES): Line =>
  line({ trimming: { by: 'guillotine', moves: 'edges', figures, rule: '' } });

const MANY = 40_000;

/** Whether a count of copies agrees with a chance, within four standard errors. */
const expectAgreed = (count: number, of: number, chance: number) =>
  expect(Math.abs(count / of - chance)).toBeLessThanOrEqual(4 * Math.sqrt((chance * (1 - chance)) / of) + 1 / of);

describe('formula and copies agree', () => {
  test.each([
    ['without a pile', FIGURES],
    ['over the depths of a pile', PILED],
  ])('%s', (_, figures) => {
    const copies = drawCopies(knife(figures), { copies: MANY, seed: 3 });
    for (const distance of [-0.4, 0, 0.2, 0.5, 0.9, 1.3])
      expectAgreed(copies.filter((c) => c.cut.left > distance).length, MANY, cutChance(distance, figures));
  });

  test('a figure is two standard deviations: one copy in 44 is further off, and none by half more', () => {
    expect(cutChance(1, FIGURES)).toBeCloseTo((0.0227501319 - 0.001349898) / 0.9973002039, 9);
    expect(cutChance(1.5, FIGURES)).toBe(0);
    expect(cutChance(0, { ...FIGURES, drift: 0 })).toBe(0);
  });

  test('the clearance is what a chance leaves', () => {
    for (const figures of [FIGURES, PILED])
      for (const chance of [0.001, 0.01, 0.2])
        expect(cutChance(cutClearance(chance, figures), figures)).toBeCloseTo(chance, 9);
    const copies = drawCopies(knife(PILED), { copies: MANY, seed: 5 });
    expect(
      exceededBy(
        copies.map((c) => c.cut.top),
        0.01,
      ),
    ).toBeCloseTo(cutClearance(0.01, PILED), 1);
  });

  test('a house that takes twice the care is off by half', () => {
    expect(cutClearance(0.001, FIGURES, 0.5)).toBeCloseTo(cutClearance(0.001, FIGURES) / 2, 9);
    const [whole, half] = [1, 0.5].map((care) => drawCopies(knife(FIGURES), { copies: 50, seed: 1, care }));
    expect(half?.map((c) => c.cut.left * 2)).toEqual(whole?.map((c) => c.cut.left));
  });
});

describe('copies', () => {
  test('of one pile are off the same way, the more the deeper they lie', () => {
    const copies = drawCopies(knife(PILED), { copies: 800, seed: 11, from: 'one pile' });
    const [first, last] = [copies[0]?.cut.left ?? 0, copies[799]?.cut.left ?? 0];
    expect(copies.every((c) => Math.sign(c.cut.left) === Math.sign(first))).toBe(true);
    expect(last / first).toBeCloseTo(figureAt(1, 0.1, 79.9), 9);
    // The next pile is cut anew.
    const two = drawCopies(knife(PILED), { copies: 1600, seed: 11, from: 'one pile' });
    expect(Math.abs((two[800]?.cut.left ?? 0) - first)).toBeGreaterThan(1e-6);
  });

  test('the same seed makes the same copies', () => {
    const of = (seed: number) => drawCopies(line({ folds: 2, passes: [0.3] }), { copies: 20, seed });
    expect(of(1)).toEqual(of(1));
    expect(of(1)).not.toEqual(of(2));
  });

  test('folds add up: the third is √3 times as far off as the first', () => {
    const copies = drawCopies(line({ folds: 3 }), { copies: MANY, seed: 2 });
    const spread = (n: number) => Math.sqrt(copies.reduce((sum, c) => sum + (c.folds[n] ?? 0) ** 2, 0) / MANY);
    expect(spread(2) / spread(0)).toBeCloseTo(Math.sqrt(3), 1);
  });

  test('a die moves as one: what it takes on one side it gives on the other', () => {
    const die = line({ trimming: { by: 'die', moves: 'outline', figures: { ...FIGURES, drift: 0.8 }, rule: '' } });
    const trim = { x: 0, y: 0, width: 60, height: 40 };
    for (const copy of drawCopies(die, { copies: 50, seed: 4 })) {
      const at = edgeMiddles(trim);
      const [left, right] = (['left', 'right'] as const).map((e) => edgeAt(copy, e, trim, at[e], false));
      expect((left ?? 0) + (right ?? 0)).toBeCloseTo(0, 9);
    }
  });

  test('the back lies off the front as well', () => {
    const copies = drawCopies(line({ back: { ...FIGURES, drift: 1 } }), { copies: MANY, seed: 6 });
    const trim = { x: 0, y: 0, width: 100, height: 100 };
    const at = edgeMiddles(trim).left;
    const spread = (isBack: boolean) =>
      Math.sqrt(copies.reduce((sum, c) => sum + edgeAt(c, 'left', trim, at, isBack) ** 2, 0) / MANY);
    expect(spread(true) / spread(false)).toBeCloseTo(Math.SQRT2, 1);
  });
});

/** A side of a job as its house makes it. */
async function sideOf(job: Job): Promise<DriftSide> {
  const { drawing } = drawnJobOf(job, (await openDesk(job, inMemory())).resources);
  const [piece] = job.pieces;
  if (!piece) throw new Error('no piece');
  const side = driftSide({
    blank: blankOf(job, piece),
    drawing,
    rules: rulesFor(job, piece),
    press: job.house.press,
  });
  if (!side) throw new Error('no side');
  return side;
}

const frame = (inset: number): Element =>
  shape(
    'frame',
    [inset, inset, 148 - 2 * inset, 210 - 2 * inset],
    { form: 'rectangle', radius: 0 },
    {
      fill: null,
      stroke: { paint: { kind: 'process', c: 0, m: 0, y: 0, k: 100 }, widthPt: 1, align: 'in' },
    },
  );

const house = (more: object) =>
  House.parse({ name: 'Yard', trimTolerance: 1, machines: { guillotine: { pile: 0 } }, ...more });

describe('what the machines ask of a layout', () => {
  test('words stay clear of the cut that comes once in a thousand, a border is wide enough to look even', async () => {
    const side = await sideOf(makeJob([], { house: house({}) }));
    const { clear, border } = suggestedBy(side);
    // The quantile of a normal with σ = ½ that is cut off at 3 σ, by Python.
    const quantile = python(
      [
        'from statistics import NormalDist as N',
        'n = N(); w = n.cdf(3) - n.cdf(-3)',
        'print(n.inv_cdf(n.cdf(3) - 0.001 * w) / 2)',
      ].join('\n'),
      null,
    ) as number;
    expect(clear).toBeCloseTo(quantile, 6);
    const at = (width: number) =>
      borderOf(side, { x: width, y: width, width: 148 - 2 * width, height: 210 - 2 * width })?.chance ?? 1;
    expect(at(border)).toBeLessThanOrEqual(0.001);
    expect(at(border - 0.3)).toBeGreaterThan(0.001);
  });

  test('a house that cuts truly asks for less', async () => {
    const of = async (trimTolerance: number) =>
      suggestedBy(await sideOf(makeJob([], { house: house({ trimTolerance }) })));
    const [true_, loose] = [await of(0.3), await of(1.5)];
    expect(true_.clear).toBeLessThan(loose.clear);
    expect(true_.border).toBeLessThan(loose.border);
  });
});

describe('a border', () => {
  test('of 3 mm, cut to ± 1 mm, is crooked as often as the sum over both cuts says', async () => {
    const side = await sideOf(makeJob([frame(3)], { house: house({}) }));
    const border = borderOf(side, { x: 3, y: 3, width: 142, height: 204 });
    // Two cuts, each normal with σ = ½ and cut off at 3 σ; crooked where one side is more than half as wide again.
    const share = python(
      [
        'from statistics import NormalDist as N',
        'n = N(); w = n.cdf(3) - n.cdf(-3); k = 600',
        'zs = [(-3 + 6 * (i + 0.5) / k) for i in range(k)]',
        'ps = [(n.cdf(z + 3 / k) - n.cdf(z - 3 / k)) / w for z in zs]',
        'one = sum(p * q for z, p in zip(zs, ps) for y, q in zip(zs, ps)',
        '  if max(3 + z / 2, 3 + y / 2) > 1.5 * min(3 + z / 2, 3 + y / 2))',
        'print(json.dumps(1 - (1 - one) ** 2))',
      ].join('\n'),
      null,
    ) as number;
    expectAgreed((border?.chance ?? 0) * 1000, 1000, share);
    expect(share).toBeGreaterThan(0.1);
    expect(border?.width).toBeCloseTo(3, 9);
    expect(border?.worst.narrow).toBeLessThan(2.2);
    expect(border?.worst.wide).toBeGreaterThan(3.5);
  });

  test('as wide as its clearance is crooked on one copy in a thousand at most', async () => {
    const side = await sideOf(makeJob([frame(3)], { house: house({}) }));
    const wide = borderOf(side, { x: 3, y: 3, width: 142, height: 204 })?.clearance ?? 0;
    expect(wide).toBeGreaterThan(5);
    const mended = borderOf(side, { x: wide, y: wide, width: 148 - 2 * wide, height: 210 - 2 * wide });
    expect(mended?.chance).toBeLessThanOrEqual(0.001);
    expect(mended?.clearance).toBeCloseTo(wide, 6);
  });

  test('is none where something stands by itself, bleeds, or is not meant to be even', async () => {
    const side = await sideOf(makeJob([], { house: house({}) }));
    for (const ink of [
      { x: 3, y: 30, width: 142, height: 60 },
      { x: -3, y: -3, width: 154, height: 216 },
      { x: 3, y: 3, width: 130, height: 204 },
      { x: 20, y: 20, width: 108, height: 170 },
    ])
      expect(borderOf(side, ink)).toBeUndefined();
  });
});

describe('what cuts a piece', () => {
  const by = async (job: Job) => (await sideOf(job)).line.trimming;

  test.each([
    ['flyer', {}, 'guillotine'],
    ['sticker', {}, 'die'],
    ['tuck-box', {}, 'die'],
    ['banner', {}, 'hem'],
    ['banner', { hem: '0' }, 'guillotine'],
  ] as const)('%s %p: %s', async (kind, set, wanted) => {
    const job = begin(kind, set);
    expect((await by(job)).by).toBe(wanted);
  });

  test('a house of large formats cuts by plotter, a house of rolls with a die that is less true', async () => {
    expect((await by(makeJob([], { house: House.parse({ press: 'wide-format' }) }))).by).toBe('cutter');
    const sticker = begin('sticker', {});
    const drift = async (press: 'offset' | 'flexo') =>
      (await by({ ...sticker, house: House.parse({ press }) })).figures.drift;
    expect([await drift('offset'), await drift('flexo')]).toEqual([0.5, 0.8]);
  });

  test('figures of a house stand over common practice, and those of a drawing in its scale', async () => {
    const own = House.parse({ name: 'Yard', machines: { die: { drift: 0.2 } } });
    const trimming = await by({ ...begin('sticker', {}), house: own });
    expect([trimming.figures.drift, trimming.figures.turn, trimming.rule]).toEqual([0.2, 0.1, 'Yard says so']);
    const banner = await by(begin('banner', { scale: '1:10' }));
    expect(banner.figures.drift).toBeCloseTo(0.8, 9);
  });
});

test('a cut into what stands near the edge is a formula on the front, and counted on the back', async () => {
  const job = makeJob([], { house: house({}) }, { sides: 2 });
  const side = await sideOf(job);
  const at = edgeMiddles(side.trim).left;
  const front = chanceOfCut(side, 'left', at, 0.5, 'in');
  expect(front).toMatchObject({ isExact: true, chance: cutChance(0.5, FIGURES) });
  const back = chanceOfCut({ ...side, isBack: true }, 'left', at, 0.5, 'in');
  expect(back.isExact).toBe(false);
  expect(back.chance).toBeGreaterThan(0.05);
  expect(back.clearance).toBeGreaterThan(front.clearance);
  // Both ways, where both are possible.
  const counted = side.copies().filter((c) => -c.cut.left > 0.5).length;
  expectAgreed(counted, 1000, front.chance);
});

test.each([
  [0, 'no copy in 1,000'],
  [0.0002, 'fewer than 1 in 1,000 copies'],
  [0.031, '31 in 1,000 copies'],
])('%s in words', (chance, words) => expect(inAThousand(chance)).toBe(words));
