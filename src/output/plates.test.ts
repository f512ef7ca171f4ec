import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Blend, Element, Finishing, Paint } from '../core/job';
import { LAID_OUT } from '../demo';
import { some } from '../testing/all';
import { demoPiece } from '../testing/demo';
import { pdfOf } from '../testing/exports';
import { box, inMemory, line, makeJob, picture, shape, words } from '../testing/jobs';
import { INKS, PPI, SIZE, UNMARKED, bothPlates, drawn, expectAlike, gradient, process, spot } from '../testing/plates';
import { inFolder, run } from '../testing/programs';
import { coverageOf } from '../paint/plates';
import { openDesk, plateItems, pressPage, sidePlates } from './index';

const AT = new Date('2026-05-01T09:00:00Z');

const GROUND = box('ground', [0, 0, 60, 60], { fill: process(60, 20, 0, 0) });
const PALE = box('pale', [0, 20, 60, 20], { fill: process(0, 30, 60, 10) });
const BLENDED: readonly Blend[] = [
  'multiply',
  'screen',
  'overlay',
  'darken',
  'lighten',
  'color-dodge',
  'color-burn',
  'hard-light',
  'soft-light',
  'difference',
  'exclusion',
];

/** Every construct of a drawing, one a page. */
const PAGES: Readonly<Record<string, readonly Element[]>> = {
  'areas that knock out what is beneath': [GROUND, PALE, box('a', [10, 10, 20, 40], { fill: process(0, 90, 80, 0) })],
  'rounded, oval and star': [
    GROUND,
    shape('a', [5, 5, 20, 15], { form: 'rectangle', radius: 4 }, { fill: process(0, 50, 100, 0) }),
    shape('b', [30, 5, 25, 20], { form: 'ellipse' }, { fill: process(0, 0, 0, 70) }),
    shape('c', [15, 25, 30, 30], { form: 'star' }, { fill: process(0, 0, 90, 0) }),
  ],
  'turned and sheared': [
    {
      ...box('a', [15, 15, 30, 20], { fill: process(0, 80, 0, 0) }),
      placement: { ...box('x', [15, 15, 30, 20]).placement, rotate: 27, shear: 15 },
    },
  ],
  'a path with a hole': [
    GROUND,
    shape(
      'a',
      [5, 5, 50, 50],
      { form: 'path', data: 'M0 0L1 0L1 1L0 1ZM0.2 0.2C0.2 0.9 0.8 0.9 0.8 0.2Z' },
      { fill: process(10, 0, 80, 0) },
    ),
  ],
  'strokes with every join': [
    shape(
      'a',
      [5, 5, 20, 20],
      { form: 'star' },
      { fill: null, stroke: { paint: process(100, 50, 0, 0), widthPt: 6, join: 'miter' } },
    ),
    shape(
      'b',
      [33, 5, 20, 20],
      { form: 'star' },
      { fill: null, stroke: { paint: process(0, 100, 0, 0), widthPt: 6, join: 'round' } },
    ),
    shape(
      'c',
      [5, 33, 20, 20],
      { form: 'star' },
      { fill: process(0, 0, 50, 0), stroke: { paint: process(0, 0, 0, 80), widthPt: 6, join: 'bevel' } },
    ),
    shape(
      'd',
      [33, 33, 20, 20],
      { form: 'ellipse' },
      { fill: null, stroke: { paint: process(80, 0, 60, 0), widthPt: 8 } },
    ),
  ],
  'strokes inside and outside of their outlines': [
    shape(
      'a',
      [5, 5, 22, 22],
      { form: 'ellipse' },
      { fill: process(0, 10, 60, 0), stroke: { paint: process(90, 10, 0, 0), widthPt: 9, align: 'in' } },
    ),
    shape(
      'b',
      [33, 8, 18, 18],
      { form: 'rectangle' },
      { fill: process(0, 10, 60, 0), stroke: { paint: process(0, 90, 0, 0), widthPt: 9, align: 'out' } },
    ),
  ],
  'dashes and dots': [
    line('a', [5, 10, 50, 0], { stroke: { paint: process(0, 0, 0, 100), widthPt: 3, dash: 'dashed' } }),
    line('b', [5, 20, 50, 10], { stroke: { paint: process(0, 100, 100, 0), widthPt: 4, dash: 'dotted' } }),
    line('c', [5, 35, 50, 15], {
      slope: 'up',
      stroke: { paint: process(100, 0, 0, 0), widthPt: 5, dash: { onPt: 10, offPt: 6 }, cap: 'square' },
    }),
    shape(
      'd',
      [20, 40, 20, 15],
      { form: 'ellipse' },
      { fill: null, stroke: { paint: process(50, 0, 90, 0), widthPt: 2, dash: 'dashed' } },
    ),
  ],
  'type, reversed and overprinting': [
    GROUND,
    words('a', 'Black type overprints', [4, 4, 52, 12], { sizePt: 16 }),
    words('b', 'Paper type', [4, 18, 52, 12], { sizePt: 18, paint: { kind: 'paper' } }),
    words('c', 'Red type knocks out', [4, 32, 52, 24], {
      sizePt: 24,
      family: 'Source Serif 4',
      paint: process(0, 100, 90, 0),
    }),
  ],
  'type with an outline': [
    GROUND,
    {
      ...words('a', 'Moon', [4, 10, 52, 40], { sizePt: 48, paint: process(0, 0, 80, 0) }),
      effects: [{ effect: 'outline', width: 1, paint: process(0, 0, 0, 60) }],
    },
  ],
  'a linear gradient': [
    box('a', [5, 5, 50, 50], {
      fill: gradient('linear', [
        [0, process(90, 10, 0, 0)],
        [40, process(0, 80, 20, 0)],
        [100, process(0, 0, 90, 10)],
      ]),
    }),
  ],
  'a radial gradient': [
    GROUND,
    shape(
      'a',
      [5, 5, 50, 50],
      { form: 'ellipse' },
      {
        fill: gradient(
          'radial',
          [
            [0, process(0, 0, 80, 0)],
            [100, process(80, 60, 0, 20)],
          ],
          { centre: { x: 0.4, y: 0.3 } },
        ),
      },
    ),
  ],
  'a gradient with a hard edge': [
    box('a', [5, 5, 50, 50], {
      fill: gradient(
        'linear',
        [
          [0, process(90, 10, 0, 0)],
          [50, process(60, 10, 0, 0)],
          [50, process(0, 80, 20, 0)],
          [100, process(0, 10, 0, 0)],
        ],
        { angle: 0 },
      ),
    }),
  ],
  'a gradient that fades out': [
    GROUND,
    PALE,
    box('a', [5, 5, 50, 50], {
      fill: gradient('linear', [
        [0, process(0, 90, 90, 0), 1],
        [100, process(0, 90, 90, 0), 0],
      ]),
    }),
  ],
  'a spot ink, solid and as a tint': [
    GROUND,
    box('a', [5, 5, 20, 50], { fill: spot(100) }),
    box('b', [35, 5, 20, 50], { fill: spot(40) }),
  ],
  'a spot ink mixed with process inks': [GROUND, box('a', [10, 10, 40, 40], { fill: spot(60, { m: 50, k: 10 }) })],
  'a spot ink that overprints': [GROUND, PALE, box('a', [10, 10, 40, 40], { fill: spot(80, { overprint: true }) })],
  'process inks that overprint': [GROUND, PALE, box('a', [10, 10, 40, 40], { fill: process(0, 70, 0, 30, true) })],
  'process over a spot': [
    box('s', [0, 0, 60, 30], { fill: spot(100) }),
    box('a', [10, 10, 40, 40], { fill: process(20, 70, 0, 0) }),
  ],
  'a gradient between two spots': [
    GROUND,
    box('a', [5, 5, 50, 50], {
      fill: {
        ...gradient('linear', [
          [0, spot(100)],
          [100, spot(0)],
        ]),
        stops: [
          { at: 0, opacity: 1, paint: spot(100) },
          {
            at: 100,
            opacity: 1,
            paint: { kind: 'spot', c: 10, m: 0, y: 0, k: 0, spots: [{ ink: 'Moon glow', tint: 90 }] },
          },
        ],
      } as Paint,
    }),
  ],
  'half clear': [GROUND, PALE, box('a', [10, 10, 40, 40], { fill: process(0, 90, 40, 0), opacity: 0.5 })],
  'half clear, filled and stroked, as one': [
    GROUND,
    shape(
      'a',
      [10, 10, 40, 40],
      { form: 'star' },
      { fill: process(0, 90, 40, 0), stroke: { paint: process(0, 0, 0, 90), widthPt: 6 }, opacity: 0.6 },
    ),
  ],
  'half clear spot': [GROUND, PALE, box('a', [10, 10, 40, 40], { fill: spot(100), opacity: 0.5 })],
  ...Object.fromEntries(
    BLENDED.map((blend) => [
      `mixed by ${blend}`,
      [
        box('g', [0, 0, 60, 60], {
          fill: gradient(
            'linear',
            [
              [0, process(80, 10, 0, 0)],
              [100, process(0, 20, 70, 30)],
            ],
            { angle: 0 },
          ),
        }),
        box('a', [10, 15, 40, 30], {
          fill: gradient(
            'linear',
            [
              [0, process(10, 70, 20, 0)],
              [100, process(50, 0, 60, 20)],
            ],
            { angle: 90 },
          ),
          blend,
        }),
      ],
    ]),
  ),
  'mixing on a page that is bare in places, type beside it': [
    box('g', [0, 0, 60, 20], { fill: process(80, 10, 0, 0) }),
    box('a', [10, 10, 40, 20], { fill: process(10, 70, 20, 0), blend: 'multiply' }),
    words('b', 'Hollin Ford, bare paper', [4, 34, 52, 24], { sizePt: 14, paint: process(90, 80, 30, 20) }),
    shape(
      'c',
      [40, 40, 15, 15],
      { form: 'star' },
      { fill: null, stroke: { paint: process(0, 60, 80, 0), widthPt: 1 } },
    ),
  ],
  'a shadow': [
    GROUND,
    shape(
      'a',
      [15, 15, 25, 25],
      { form: 'star' },
      {
        fill: process(0, 0, 80, 0),
        effects: [{ effect: 'shadow', dx: 3, dy: 3, blur: 4, paint: process(0, 0, 0, 100) }],
      },
    ),
  ],
  'a glow': [
    GROUND,
    shape(
      'a',
      [15, 15, 25, 25],
      { form: 'ellipse' },
      { fill: process(60, 60, 0, 0), effects: [{ effect: 'glow', blur: 6, spread: 1, paint: process(0, 0, 90, 0) }] },
    ),
  ],
  'a blur and a soft edge': [
    GROUND,
    box('a', [5, 5, 22, 22], { fill: process(0, 80, 80, 0), effects: [{ effect: 'blur', blur: 3 }] }),
    box('b', [33, 33, 20, 20], { fill: process(0, 0, 80, 0), effects: [{ effect: 'soft-edge', blur: 4 }] }),
  ],
  'copies in a grid': [
    GROUND,
    box('a', [2, 2, 5, 5], {
      fill: process(0, 60, 80, 0),
      repeat: [{ way: 'rows', in: { box: 'trim' }, across: 6, down: 6, gapAcross: 4, gapDown: 4 }],
    }),
  ],
};

/** Pieces that Ghostscript separates in seconds. */
const SMALL: readonly string[] = ['business-card', 'observing-pad'];

describe('plates are those that Ghostscript separates from the press file (tiffsep)', () => {
  test.each(some(Object.entries(PAGES), 3))('%s', async (what, elements) => {
    const job = makeJob(elements, { inks: INKS, ...UNMARKED }, SIZE);
    expectAlike(what, await bothPlates(job, inMemory(), 0));
  });

  test.each([
    ['RGB', { format: 'jpeg', colour: 'rgb' }],
    ['RGB, partly clear', { format: 'png', colour: 'rgb', veil: 'bars' }],
    ['grey', { format: 'png', colour: 'grey' }],
    ['CMYK', { format: 'tiff', colour: 'cmyk' }],
  ] as const)('a %s picture, level, turned and mirrored', async (what, kind) => {
    const { sha, bytes, facts } = await drawn(kind);
    const elements = [
      GROUND,
      picture('a', sha, [3, 3, 26, 20]),
      picture('b', sha, [32, 3, 22, 22], { turn: 20, flip: { across: true, down: false } }),
      {
        ...picture('c', sha, [10, 30, 30, 22]),
        placement: { ...picture('x', sha, [10, 30, 30, 22]).placement, rotate: -15 },
      },
    ];
    const job = makeJob(elements, { assets: { [sha]: facts }, ...UNMARKED }, SIZE);
    expectAlike(what, await bothPlates(job, inMemory(new Map([[sha, bytes]])), 0));
  });

  test.each(LAID_OUT.filter(({ file }) => SMALL.includes(file)).map(({ file }) => file))(
    'the first sides of %s',
    async (file) => {
      const { job, assets } = await demoPiece(file, 0.4);
      for (const side of [0, 1].slice(0, job.pieces.length === 1 ? 2 : 1))
        if ((await openDesk(job, assets)).sides[side])
          expectAlike(`${file} ${side}`, await bothPlates(job, assets, side));
    },
  );
});

/** A coating that lies over, one that was told to cut away what is beneath, white, and two kinds of cut. */
const LAYERED: readonly Finishing[] = [
  { does: 'coat', id: 'gloss', coating: 'uv', of: { from: 'elements', elements: ['star'] }, spread: 1 },
  {
    does: 'coat',
    id: 'hole',
    coating: 'foil',
    of: { from: 'elements', elements: ['moon'] },
    spread: -1,
    knocksOut: true,
  },
  { does: 'coat', id: 'white', coating: 'white', of: { from: 'artwork' }, spread: -0.2 },
  {
    does: 'line',
    id: 'kiss',
    process: 'kiss-cut',
    course: { course: 'outline', elements: ['star'], offset: 2 },
    past: 0,
  },
  {
    does: 'line',
    id: 'perf',
    process: 'perforation',
    course: { course: 'divide', way: 'level', against: { box: 'trim' }, into: 3 },
    past: 0,
  },
];
const ON_LAYERS = makeJob(
  [
    GROUND,
    shape('star', [5, 5, 22, 22], { form: 'star' }, { fill: spot(80, { m: 20 }) }),
    shape('moon', [30, 28, 24, 24], { form: 'ellipse' }, { fill: process(0, 10, 80, 0) }),
  ],
  { inks: INKS, ...UNMARKED },
  { ...SIZE, finish: { front: [...LAYERED] } },
);

test.each([undefined, 'UV', 'Foil', 'White', 'Kiss-cut', 'Perforation'])(
  'with the layer %s switched off, Ghostscript and we see the same',
  async (off) => {
    expectAlike(`without ${off ?? 'nothing'}`, await bothPlates(ON_LAYERS, inMemory(), 0, off));
  },
);

test('each layer says what it is for, as ISO 19593-1 names it (from memory), read by qpdf', async () => {
  const pdf = await pdfOf(ON_LAYERS);
  const said = await inFolder((folder) => {
    const path = join(folder, 'f.pdf');
    writeFileSync(path, pdf);
    const read = JSON.parse(run('qpdf', ['--json=2', '--json-key=qpdf', path])) as {
      qpdf: readonly [unknown, Record<string, { value?: Record<string, unknown> }>];
    };
    return Object.values(read.qpdf[1]).flatMap(({ value }) => {
      if (value?.['/Type'] !== '/OCG') return [];
      const { '/GTS_ProcStepsGroup': group, '/GTS_ProcStepsType': type } = (value['/GTS_Metadata'] ?? {}) as Record<
        string,
        unknown
      >;
      return [[String(value['/Name']).replace('u:', ''), group, type]];
    });
  });
  expect(said).toEqual([
    ['UV', '/Varnish', undefined],
    ['Foil', '/Structural', '/FoilStamping'],
    ['White', '/White', undefined],
    ['Kiss-cut', '/Structural', '/PartialCutting'],
    ['Perforation', '/Structural', '/Perforating'],
  ]);
});

test.each([
  'areas that knock out what is beneath',
  'strokes with every join',
  'type, reversed and overprinting',
  'a linear gradient',
  'half clear',
  'mixing on a page that is bare in places, type beside it',
  'a shadow',
])('coverage agrees with Ghostscript’s ink_cov: %s', async (what) => {
  const job = makeJob(PAGES[what] ?? [], UNMARKED, SIZE);
  const desk = await openDesk(job, inMemory());
  const [side] = desk.sides;
  if (!side) throw new Error('no side');
  const { sheet } = pressPage(desk, side, AT);
  const ours = await sidePlates(desk, side, plateItems(desk, side, AT, { marks: true }), {
    box: sheet,
    scale: PPI / 25.4,
  });
  const covered = coverageOf(ours, { x: 0, y: 0, width: ours.width, height: ours.height });
  const pdf = await pdfOf(job);
  const theirs = await inFolder((folder) => {
    writeFileSync(join(folder, 'f.pdf'), pdf);
    return run('gs', [
      '-q',
      '-dSAFER',
      '-dNOPAUSE',
      '-dBATCH',
      '-sDEVICE=ink_cov',
      '-r600',
      '-o',
      '-',
      join(folder, 'f.pdf'),
    ]);
  });
  const found = theirs.trim().split(/\s+/).slice(0, 4).map(Number);
  ['Cyan', 'Magenta', 'Yellow', 'Black'].forEach((name, i) => {
    expect([
      name,
      Math.abs((covered.get(name) ?? 0) * 100 - (found[i] ?? NaN)) < 0.3 || [covered.get(name), found[i]],
    ]).toEqual([name, true]);
  });
});
