import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Finishing, Job } from '../core/job';
import { barPatches, pageLabel, sideMarks } from '../core/marks';
import type { pathBounds } from '../core/layout';
import { type Rect } from '../core/layout';
import { demoPiece } from '../testing/demo';
import { exported, pdfOf } from '../testing/exports';
import { begin, box, inMemory, makeJob } from '../testing/jobs';
import { INKS, SIZE, UNMARKED, bothPlates, expectAlike, gradient, process, spot } from '../testing/plates';
import { boxesOf, inFolder, platesOf, run, type Plate } from '../testing/programs';
import { openDesk } from './index';

/** Pixels to the inch at which sheets are looked at. */
const PPI = 72;
const PT = 72 / 25.4;

type Objects = Record<string, { value?: Record<string, unknown> }>;

const objectsOf = (pdf: Uint8Array): Promise<Objects> =>
  inFolder((folder) => {
    const path = join(folder, 'f.pdf');
    writeFileSync(path, pdf);
    return (JSON.parse(run('qpdf', ['--json=2', '--json-key=qpdf', path])) as { qpdf: [unknown, Objects] }).qpdf[1];
  });

/** The most ink of any plate in a part of a sheet, in mm from its top-left corner. */
function mostIn(plates: ReadonlyMap<string, Plate>, part: Rect): number {
  const px = (mm: number) => Math.round((mm / 25.4) * PPI);
  let most = 0;
  for (const { at } of plates.values())
    for (let y = px(part.y); y < px(part.y + part.height); y += 1)
      for (let x = px(part.x); x < px(part.x + part.width); x += 1) most = Math.max(most, at(x, y));
  return most;
}

describe('artwork ends where the bleed ends', () => {
  test('a box far beyond the sheet leaves the room for marks bare', async () => {
    const ground = { ...box('a', [-60, -60, 260, 300]), clipTo: null };
    const turned = {
      ...box('b', [20, 20, 60, 60]),
      placement: { ...box('b', [-30, 20, 60, 60]).placement, rotate: 30 },
    };
    const pdf = await pdfOf(
      makeJob([ground, turned], UNMARKED, { bleed: { top: 3, right: 3, bottom: 3, left: 3 }, slug: 10 }),
    );
    const plates = await platesOf(pdf, 1, PPI);
    // The sheet is the bleed and the slug below it.
    expect(mostIn(plates, { x: 0, y: 217, width: 154, height: 8 })).toBe(0);
    expect(mostIn(plates, { x: 1, y: 1, width: 150, height: 210 })).toBe(1);
  });

  test('a picture across the spine does not cover the marks of the page beside it', async () => {
    const { job, assets } = await demoPiece('catalogue', 0.2);
    const pages = { ...job, output: { ...job.output, marks: { ...UNMARKED.output.marks, corner: true } } };
    const pdf = await pdfOf(pages, assets);
    const desk = await openDesk(pages, assets);
    const crossing = desk.sides.flatMap(({ surface, drawing }, page) => {
      const { bleed } = surface.boxes;
      const isAcross = drawing.frames.some(
        ({ bounds }) => bounds.x < bleed.x - 1 || bounds.x + bounds.width > bleed.x + bleed.width + 1,
      );
      return isAcross ? [page] : [];
    });
    expect(crossing.length).toBeGreaterThan(0);
    for (const page of crossing.slice(0, 2)) {
      const boxes = await inFolder((folder) => {
        const path = join(folder, 'f.pdf');
        writeFileSync(path, pdf);
        return boxesOf(path, page + 1);
      });
      const plates = await platesOf(pdf, page + 1, PPI);
      const [, low = 0, , high = 0] = boxes.BleedBox;
      const [, , width = 0, tall = 0] = boxes.MediaBox;
      // Left and right of the bleed, away from the corner marks.
      const [left = 0, , right = 0] = boxes.BleedBox;
      const middle = { y: (tall - high) / PT + 20, height: (high - low) / PT - 40 };
      expect(mostIn(plates, { x: 0, width: left / PT - 0.3, ...middle })).toBe(0);
      expect(mostIn(plates, { x: right / PT + 0.3, width: (width - right) / PT - 0.4, ...middle })).toBe(0);
    }
  });
});

test('a fold and a score on one plate keep their own purposes (ISO 19593-1, from memory)', async () => {
  const line = (id: string, process: 'fold' | 'score', at: number): Finishing => ({
    does: 'line',
    id,
    process,
    course: { course: 'straight', way: 'upright', against: { box: 'trim' }, at },
    past: 0,
  });
  const lines = { fold: { spot: 'Crease', form: 'dashed' }, score: { spot: 'Crease', form: 'dashed' } } as const;
  const plain = makeJob([box('a', [0, 0, 20, 20])]);
  const job: Job = {
    ...makeJob([box('a', [0, 0, 20, 20])], {}, { finish: { front: [line('f', 'fold', 40), line('s', 'score', 80)] } }),
    house: { ...plain.house, lines },
  };
  const groups = Object.values(await objectsOf(await pdfOf(job))).flatMap(({ value }) =>
    value?.['/Type'] === '/OCG'
      ? [[value['/Name'], (value['/GTS_Metadata'] as Record<string, unknown>)['/GTS_ProcStepsType']]]
      : [],
  );
  expect(groups).toEqual([
    ['u:Crease', '/Folding'],
    ['u:Crease', '/Creasing'],
  ]);
});

test('pieces with sides of one name have files of their own', async () => {
  const card = (id: string, name: string) => ({
    kind: 'flyer',
    id,
    name,
    size: { width: 60, height: 60 },
    sides: 1,
    surfaces: { front: [] },
  });
  const one = makeJob([]);
  const job = {
    ...one,
    pieces: [
      ...makeJob([], {}, card('a', 'Card')).pieces,
      ...makeJob([], {}, card('b', 'Card')).pieces,
      ...makeJob([], {}, card('c', 'Flag')).pieces,
    ],
  };
  const names = (await exported(job, 'preview')).map((f) => f.name);
  expect(names).toEqual([
    'test-job-preview.pdf',
    'test-job-card-front.png',
    'test-job-card-front-2.png',
    'test-job-flag-front.png',
  ]);
  const cut: Finishing = {
    does: 'line',
    id: 'cut',
    process: 'cut',
    course: { course: 'divide', way: 'level', against: { box: 'trim' }, into: 2 },
    past: 0,
  };
  const dies = (
    await exported(
      {
        ...job,
        pieces: job.pieces.map((p, i) => ({
          ...p,
          finish: { front: [{ ...cut, id: `c${i}` }] },
          size: { width: 60 + i, height: 60 },
        })),
      },
      'die',
    )
  ).map((f) => f.name);
  expect(new Set(dies).size).toBe(dies.length);
  expect(dies).toHaveLength(7);
});

describe('marks', () => {
  const sheetOf = async (job: Job, side = 0) => {
    const desk = await openDesk(job, inMemory());
    const found = desk.sides[side];
    if (!found) throw new Error('no such side');
    const { items } = sideMarks(job, { ...found, scale: 1 }, undefined, '2026-05-01');
    return { items, trim: found.surface.boxes.trim };
  };
  const boundsOf = (
    items: readonly { readonly from: string; readonly kind: string; readonly path?: unknown }[],
    from: string,
  ) =>
    items.flatMap((item) =>
      item.from === from && item.kind === 'path' ? [item.path as Parameters<typeof pathBounds>[0]] : [],
    );

  test('where a piece is folded in its middle, the fold’s tick stands alone', async () => {
    const { items, trim } = await sheetOf(begin('folded-card'));
    const middle = trim.x + trim.width / 2;
    const [ticks] = boundsOf(items, 'score ticks').concat(boundsOf(items, 'fold ticks'));
    expect(ticks?.some((s) => s[0] !== 'Z' && Math.abs(s[1] - middle) < 0.01)).toBe(true);
    const [centres = []] = boundsOf(items, 'centre marks');
    const upright = centres.filter(
      (s) => s[0] === 'M' && Math.abs(s[1] - middle) < 1 && (s[2] < trim.y || s[2] > trim.y + trim.height),
    );
    expect(upright).toEqual([]);
  });

  test('no tick runs through a register target', async () => {
    for (const at of [64, 70, 74, 78, 84, 90]) {
      const finish = {
        front: [
          {
            does: 'line',
            id: 'p',
            process: 'perforation',
            course: { course: 'straight', way: 'upright', against: { box: 'trim' }, at },
            past: 0,
          },
        ],
      };
      const { items, trim } = await sheetOf(makeJob([], {}, { finish }));
      const [targets = []] = boundsOf(items, 'register targets');
      const crosses = targets.flatMap((s, i) => {
        const next = targets[i + 1];
        const isUpright = s[0] === 'M' && next?.[0] === 'L' && s[1] === next[1];
        return isUpright && (s[2] < trim.y || s[2] > trim.y + trim.height) ? [s[1]] : [];
      });
      expect(crosses).toHaveLength(2);
      for (const x of crosses) expect(Math.abs(x - at)).toBeGreaterThan(2.5);
    }
  });

  test('a line that runs past the trim has its tick, and is whole in the files of the die', async () => {
    const finish = {
      front: [
        {
          does: 'line',
          id: 'p',
          process: 'perforation',
          course: { course: 'straight', way: 'upright', against: { box: 'trim' }, at: 50 },
          past: 6,
        },
      ],
    };
    const job = makeJob([], {}, { finish });
    const { items } = await sheetOf(job);
    expect(boundsOf(items, 'perforation ticks')).toHaveLength(1);
    const [pdf, svg] = await exported(job, 'die');
    const boxes = await inFolder((folder) => {
      writeFileSync(join(folder, 'f.pdf'), pdf?.bytes ?? '');
      return boxesOf(join(folder, 'f.pdf'), 1);
    });
    expect((boxes.MediaBox[3] ?? 0) / PT).toBeCloseTo(222, 1);
    expect((boxes.TrimBox[3] ?? 0) / PT - (boxes.TrimBox[1] ?? 0) / PT).toBeCloseTo(210, 1);
    expect(new TextDecoder().decode(svg?.bytes)).toMatch(/viewBox="0 -6 148 222"/);
  });

  test('the colour bar shows the inks of the side and no others', () => {
    const silver = { name: 'Silver', tint: 100, shown: { c: 0, m: 0, y: 0, k: 45 } };
    expect(barPatches({ plates: ['Black'], spots: [] })).toHaveLength(2);
    expect(barPatches({ plates: ['Cyan', 'Magenta', 'Yellow', 'Black'], spots: [] })).toHaveLength(12);
    expect(barPatches({ plates: ['Black', 'Silver'], spots: [silver] })).toHaveLength(4);
    expect(barPatches({ plates: [], spots: [] })).toEqual([]);
  });

  test('a side in one spot ink: nothing on the process plates but registration', async () => {
    const marks = { ...UNMARKED.output.marks, colourBar: true };
    const job = makeJob([box('a', [0, 0, 20, 20], { fill: spot(100) })], {
      inks: INKS,
      output: { ...UNMARKED.output, marks },
    });
    const plates = await platesOf(await pdfOf(job), 1, PPI);
    for (const name of ['Cyan', 'Magenta', 'Yellow', 'Black'])
      expect([name, plates.get(name)?.mean ?? 0]).toEqual([name, 0]);
    expect(plates.get('Silver')?.mean).toBeGreaterThan(0);
  });
});

test('pages are labelled as they are numbered (ISO 32000-1, 12.4.2)', async () => {
  const job = begin('booklet', { pages: '8' });
  const renumbered = { ...job, pieces: job.pieces.map((p) => ({ ...p, numbering: { ...p.numbering, first: 5 } })) };
  const [piece] = renumbered.pieces;
  if (!piece) throw new Error('no piece');
  const { sides } = await openDesk(renumbered, inMemory());
  const catalog = Object.values(await objectsOf(await pdfOf(renumbered))).find(
    ({ value }) => value?.['/Type'] === '/Catalog',
  );
  const nums = (catalog?.value?.['/PageLabels'] as { '/Nums': unknown[] })['/Nums'];
  const first = sides.findIndex(({ surface }) => typeof pageLabel(piece, surface) === 'number');
  expect(nums).toEqual(expect.arrayContaining([first, { '/S': '/D', '/St': 5 }]));
});

describe('gradients that overprint', () => {
  const over = { overprint: true };
  test.each([
    [
      'process inks',
      gradient('linear', [
        [0, process(0, 80, 0, 0, true)],
        [100, process(0, 10, 0, 60, true)],
      ]),
    ],
    [
      'a spot and process inks',
      gradient('linear', [
        [0, spot(90, over)],
        [100, process(0, 60, 0, 0, true)],
      ]),
    ],
    [
      'a spot that fades',
      gradient('linear', [
        [0, spot(90, over), 1],
        [100, spot(20, over), 0],
      ]),
    ],
    [
      'one that overprints in part knocks out',
      gradient('linear', [
        [0, spot(90, over)],
        [100, process(0, 60, 0, 0)],
      ]),
    ],
  ])('%s: plates as tiffsep separates them', async (what, fill) => {
    const ground = [
      box('g', [0, 0, 60, 60], { fill: process(60, 20, 0, 0) }),
      box('h', [0, 30, 60, 15], { fill: spot(50) }),
    ];
    const plates = await bothPlates(
      makeJob([...ground, box('a', [8, 8, 44, 44], { fill })], { inks: INKS, ...UNMARKED }, SIZE),
      inMemory(),
      0,
    );
    expectAlike(what, plates);
    const cyan = plates.find(({ name }) => name === 'Cyan');
    const middle = cyan?.ours[Math.floor(cyan.height * 0.2) * cyan.width + Math.floor(cyan.width / 2)];
    expect((middle ?? 0) > 100).toBe(!what.includes('knocks out'));
  });
});
