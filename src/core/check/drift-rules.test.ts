/** What the machines of a house do, as findings: how many copies, from where on it is rare, and a fix that holds. */
import { begin, box, makeJob, shape, words } from '../../testing/jobs';
import { checked, findingsOf } from '../../testing/checked';
import { House, Stock } from '../shop';
import { elementsOn, withSide, type Element, type Job } from '../job';
import { added, pieceOf } from '../edit';
import { blankOf } from '../job';
import { applyChange } from './rule';

const house = House.parse({ name: 'Yard', trimTolerance: 1, machines: { guillotine: { pile: 0 } } });

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

/** The job with the first fix of the only finding of a rule. */
async function mended(job: Job, rule: string): Promise<Job> {
  const [finding, ...others] = await findingsOf(job, rule);
  expect(others).toEqual([]);
  const [fix] = finding?.fixes ?? [];
  if (!fix) throw new Error('nothing mends it');
  return applyChange(job, fix.change);
}

describe('a frame 3 mm from the edge', () => {
  const job = makeJob([frame(3)], { house });

  test('is crooked, says how often and how wide it is here and there', async () => {
    const [finding] = await findingsOf(job, 'uneven-border');
    expect(finding).toMatchObject({ severity: 'warning', element: 'frame' });
    const mm = String.raw`[\d.]+ mm`;
    expect(finding?.message).toMatch(
      new RegExp(
        String.raw`^Its border of 3 mm is crooked on \d{3} in 1,000 copies: at worst [12]\S* mm on one side and ` +
          String.raw`[34]\S* mm across from it \(the knife cuts to ± 1 mm\)\. From ${mm} on it is one in a thousand\.$`,
      ),
    );
  });

  test('drawn in, it is found no more', async () => {
    const after = await mended(job, 'uneven-border');
    expect(await findingsOf(after, 'uneven-border')).toEqual([]);
    const [now] = elementsOn(pieceOf(after), 'front');
    expect(now?.placement.x).not.toEqual(frame(3).placement.x);
  });

  test('at a house that cuts truly there is nothing to say', async () => {
    const true2 = { ...house, trimTolerance: 0.2 };
    expect(await findingsOf({ ...job, house: true2 }, 'uneven-border')).toEqual([]);
  });
});

test('the border of a sticker is too narrow for the die', async () => {
  const sticker = begin('sticker', { size: '60 x 40 mm', shape: 'rectangle', border: '0' });
  const [side] = blankOf(sticker, pieceOf(sticker)).surfaces;
  if (!side) throw new Error('no side');
  const { width, height } = side.boxes.trim;
  const inner = box('inner', [1, 1, width - 2, height - 2]);
  const job = { ...added(sticker, side.name, [inner]).job, house: House.parse({ press: 'flexo' }) };
  const [finding] = await findingsOf(job, 'uneven-border');
  expect(finding?.message).toMatch(/border of 1 mm .* \(the die cuts to ± 0\.8 mm\)/);
  expect(await findingsOf(await mended(job, 'uneven-border'), 'uneven-border')).toEqual([]);
});

test('inks are spread as far as the plates of the house lie off each other', async () => {
  const ink = (c: number, m: number) => ({ kind: 'process', c, m, y: 0, k: 0 }) as const;
  const on = [
    box('ground', [20, 20, 60, 60], { fill: ink(100, 0) }),
    box('disc', [30, 30, 20, 20], { fill: ink(0, 100) }),
  ];
  const label = async (own: object) =>
    (await findingsOf(makeJob(on, { house: House.parse(own) }), 'trap'))[0]?.fixes[0]?.label;
  expect([
    await label({}),
    await label({ press: 'flexo' }),
    await label({ machines: { plates: { drift: 0.2 } } }),
  ]).toEqual(['Spread it by 0.1 mm', 'Spread it by 0.3 mm', 'Spread it by 0.2 mm']);
});

describe('near the knife', () => {
  test('type says how many copies are cut into', async () => {
    const near = makeJob([words('t', 'Near', [0.4, 50, 40, 10])], { house });
    const [finding] = await findingsOf(near, 'safe-area');
    expect(finding?.message).toMatch(/\d+ in 1,000 copies are cut into/);
    const far = makeJob([words('t', 'Near', [3, 50, 40, 10])], { house });
    expect((await findingsOf(far, 'safe-area'))[0]?.message).not.toMatch(/copies/);
  });

  test('what ends inside the bleed says how many show paper', async () => {
    const short = makeJob([box('short', [-0.5, 0, 149, 210])], { house });
    const found = (await checked(short)).filter((f) => f.rule === 'bleed');
    expect(found.map((f) => f.message).join(' ')).toMatch(/paper shows on \d+ in 1,000 copies/);
  });
});

describe('a colour that changes on a fold', () => {
  const folder = begin('brochure', { fold: 'half' });
  const [side] = blankOf(folder, pieceOf(folder)).surfaces;
  const [left] = side?.boxes.panels ?? [];
  if (!side || !left) throw new Error('no panels');
  const { trim } = side.boxes;
  const panel = box('panel', [trim.x, trim.y, left.width, trim.height]);
  const job = added(folder, side.name, [panel]).job;

  test('stands beside it on so many copies, and is taken round it', async () => {
    const [finding] = await findingsOf(job, 'fold-drift');
    expect(finding?.message).toMatch(
      /Its right edge lies on the fold\. A stripe .* shows on \d+ in 1,000 copies, at worst/,
    );
    const after = await mended(job, 'fold-drift');
    expect(await findingsOf(after, 'fold-drift')).toEqual([]);
    // Nor is it taken for one that was meant to end on the fold.
    expect(await findingsOf(after, 'fold-meet')).toEqual([]);
  });

  test('at a folder that is true there is nothing to say', async () => {
    expect(await findingsOf({ ...job, house: House.parse({ foldTolerance: 0.1 }) }, 'fold-drift')).toEqual([]);
  });
});

describe('a hole', () => {
  const drill = { does: 'line', id: 'd', process: 'drill', course: { course: 'outline', elements: ['hole'] } } as const;
  const punched = (textAt: number, more: object = {}) =>
    makeJob(
      [
        shape('hole', [20, 20, 6, 6], { form: 'ellipse' }, { unprinted: true }),
        words('t', 'Hold it here', [textAt, 20, 60, 8]),
      ],
      { house, ...more },
      { finish: { front: [drill] } },
    );

  test('hits what stands beside it on so many copies; moved off, on none worth saying', async () => {
    const [finding] = await findingsOf(punched(26.4), 'hole-drift');
    expect(finding).toMatchObject({ severity: 'warning', element: 't' });
    expect(finding?.message).toMatch(/^A hole hits it on \d+ in 1,000 copies\. From \d\.\d mm off on it is one in a/);
    expect(await findingsOf(await mended(punched(26.4), 'hole-drift'), 'hole-drift')).toEqual([]);
  });

  test('is no place for words at all', async () => {
    const [finding] = await findingsOf(punched(18), 'hole-drift');
    expect([finding?.severity, finding?.message.startsWith('It stands where a hole is made.')]).toEqual([
      'fault',
      true,
    ]);
  });

  test('far off, or a ground that it lies in, is nothing to speak of', async () => {
    expect(await findingsOf(punched(40), 'hole-drift')).toEqual([]);
  });
});

describe('a coating edge on edge with its shape', () => {
  const coat = (spread: number, elements = ['star']) =>
    ({ does: 'coat', id: 'c', coating: 'uv', of: { from: 'elements', elements }, spread }) as const;
  const coated = (spread: number, more: { readonly unprinted?: true } = {}) =>
    makeJob([box('star', [40, 40, 30, 30], more)], { house }, { finish: { front: [coat(spread)] } });

  test('lies beside it; both ways out hold', async () => {
    const [finding] = await findingsOf(coated(0), 'coat-drift');
    expect(finding?.message).toMatch(/^UV gloss lies more than 0\.1 mm beside its shape on \d{3} in 1,000 copies, at/);
    for (const { change } of finding?.fixes ?? [])
      expect(await findingsOf(applyChange(coated(0), change), 'coat-drift')).toEqual([]);
    expect(finding?.fixes.map(({ label }) => label)).toEqual(['Draw it in by 0.4 mm', 'Spread it by 0.4 mm']);
  });

  test('on bare paper it is beside nothing', async () => {
    expect(await findingsOf(coated(0, { unprinted: true }), 'coat-drift')).toEqual([]);
  });
});

describe('paper and ink', () => {
  const area = (id: string, at: readonly [number, number, number, number], c: number, k: number) =>
    box(id, [...at], { fill: { kind: 'process', c, m: c, y: 0, k } });
  const leaf = (front: readonly Element[], back: readonly Element[], stock: object): Job => {
    const job = makeJob(front, { house, stock: Stock.parse(stock) }, { sides: 2 });
    return { ...job, pieces: job.pieces.map((piece) => withSide(piece, 'back', back)) };
  };
  const said = async (job: Job, rule: string) =>
    (await checked(job)).filter((f) => f.rule === rule).map((f) => [f.surface, f.message] as const);
  const thin = { kind: 'uncoated', grammage: 80 };
  const panel = area('panel', [30, 40, 50, 60], 30, 0);
  const behind = area('behind', [148 - 80, 40, 50, 60], 30, 0);

  test('two areas one behind the other on thin paper do not fall together', async () => {
    const job = leaf([panel], [behind], thin);
    const [[surface, message] = []] = await said(job, 'back-drift');
    expect(surface).toBe('front');
    expect(message).toMatch(
      /^“behind” on the back lies exactly behind it: on \d+ in 1,000 copies it is more than 0\.5/,
    );
    const [finding] = await findingsOf(job, 'back-drift');
    const fix = finding?.fixes[0];
    expect(await said(fix ? applyChange(job, fix.change) : job, 'back-drift')).toEqual([]);
    expect(await said(leaf([panel], [behind], { kind: 'coated', grammage: 300 }), 'back-drift')).toEqual([]);
    expect(await said(leaf([panel], [area('off', [20, 40, 50, 60], 30, 0)], thin), 'back-drift')).toEqual([]);
  });

  test('much ink on uncoated paper dries slowly; on coated paper, and a small area, it does not', async () => {
    const heavy = area('heavy', [0, 0, 148, 100], 90, 60);
    expect((await said(leaf([heavy], [], thin), 'slow-drying'))[0]?.[1]).toMatch(/on 48 % of the side: allow a day/);
    expect(await said(leaf([heavy], [], { kind: 'coated' }), 'slow-drying')).toEqual([]);
    expect(await said(leaf([area('spot', [0, 0, 30, 30], 90, 60)], [], thin), 'slow-drying')).toEqual([]);
  });

  test('full on one side and bare on the other, thin paper rolls', async () => {
    const full = area('full', [-3, -3, 154, 216], 70, 40);
    expect((await said(leaf([full], [], thin), 'curl')).map(([surface]) => surface)).toEqual(['front']);
    expect(await said(leaf([full], [full], thin), 'curl')).toEqual([]);
    expect(await said(leaf([full], [], { kind: 'coated', grammage: 300 }), 'curl')).toEqual([]);
    expect(await said(makeJob([full], { stock: Stock.parse(thin) }), 'curl')).toHaveLength(1);
  });
});
