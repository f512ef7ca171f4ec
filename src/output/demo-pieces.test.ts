import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { SAME_MATTER } from '../core/check';
import { itemsOf, leavesOf } from '../core/drawing';
import { elementsOn, hasFields, orderOf, styleBook, textsIn, wordsOf, type Element, type Job } from '../core/job';
import { edges } from '../core/layout';
import { LAID_OUT } from '../demo';
import { replyTo } from '../intake';
import { svgPage } from '../paint/svg';
import { IS_ALL } from '../testing/all';
import { demoPiece } from '../testing/demo';
import { pdfOf } from '../testing/exports';
import { box, inMemory, line, makeJob, shape, words } from '../testing/jobs';
import { inFolder, pageBoxes, pageTexts, platesOf, run } from '../testing/programs';
import { checkDesk, openDesk, paintingOf, type AssetSource, type Desk } from './index';

const PT = 72 / 25.4;
/** Whose copies differ: what is in their files is tried with records. */
const RECORDED = ['observer-cards', 'loan-labels'];
const PIECES = LAID_OUT.map(({ file }) => file).filter((file) => !RECORDED.includes(file));
/** Those of many pages, whose sides are of few sorts: one of them stands for the others in a common run. */
const LONG = ['catalogue', 'moon-calendar', 'observing-planner'];
const TRIED = IS_ALL ? PIECES : PIECES.filter((file) => !LONG.includes(file));

/** Pictures at a part of their pixels: what is asked here of a file does not depend on how many there are. */
const SMALL = IS_ALL ? 1 : 0.4;

/** Letters and figures alone: how lines break, and the hyphens where they do, is no part of what was typed. */
const letters = (text: string): string =>
  text
    .normalize('NFKC')
    .toLowerCase()
    .replace(/[\s\u00AD\u2010\u2011\u2028-]/g, '');

/** Every paragraph that was typed on a side can be read off its page, letter by letter and in order. */
function expectTyped(job: Job, desk: Desk, textOf: (page: number) => string): void {
  const book = styleBook(job);
  for (const [i, { piece, surface }] of desk.sides.entries()) {
    const texts = elementsOn(piece, surface.name).flatMap((e) => textsIn(e, book));
    const follows = new Set(texts.map((t) => t.after));
    // What flows from frame to frame is on no page whole.
    const whole = texts.filter((t) => t.after === null && !follows.has(t.id));
    const said = whole.flatMap((t) => t.paragraphs.map(wordsOf)).filter((words) => words !== '' && !hasFields(words));
    const printed = (desk.sides[i]?.drawing.frames ?? [])
      .filter((f) => f.kind === 'printable')
      .map((f) =>
        leavesOf(f.items)
          .flatMap((item) => (item.kind === 'glyphs' ? item.glyphs.map((g) => g.text) : []))
          .join(''),
      );
    if (said.length + printed.length === 0) continue;
    const found = letters(textOf(i + 1));
    // What a printable worked out is there too, in the order in which it was drawn.
    for (const words of [...said, ...printed]) expect(found).toContain(letters(words));
  }
}

/**
 * What flows from frame to frame can be read off the pages of its frames: each paragraph whole on one of them, or its
 * beginning on one and its rest on the next.
 * @returns how many texts flow
 */
function expectFlowing(job: Job, desk: Desk, textOf: (page: number) => string): number {
  const book = styleBook(job);
  const texts = desk.sides.flatMap(({ piece, surface }, i) =>
    elementsOn(piece, surface.name).flatMap((e) => textsIn(e, book).map((text) => ({ text, page: i + 1 }))),
  );
  const next = new Map(texts.flatMap((t) => (t.text.after === null ? [] : [[t.text.after, t] as const])));
  const heads = texts.filter(({ text }) => text.after === null && next.has(text.id));
  for (const head of heads) {
    const chain = [head];
    for (let then = next.get(head.text.id); then; then = next.get(then.text.id)) chain.push(then);
    const pages = [...new Set(chain.map(({ page }) => page))].map((page) => letters(textOf(page)));
    let at = 0;
    for (const words of chain.flatMap(({ text }) => text.paragraphs.map(wordsOf))) {
      let left = letters(words);
      // A paragraph begins where the one before it ended, or later; what it leaves over stands further on.
      for (; left !== '' && at < pages.length; at += left === '' ? 0 : 1)
        left = left.slice(longestIn(left, pages[at] ?? ''));
      expect([words.slice(0, 40), left]).toEqual([words.slice(0, 40), '']);
    }
  }
  return heads.length;
}

/** How many letters of the beginning of a text can be found in another, in one piece. */
function longestIn(text: string, page: string): number {
  let [low, high] = [0, text.length];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (page.includes(text.slice(0, middle))) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** Sides of books and calendars that are compared: their many pages are of few sorts. */
const SHOWN: readonly string[] = [
  'cover outside',
  'page 1',
  'page 4',
  'page 5',
  'page 22',
  'page 23',
  'page 24',
  'cover',
  'month 1 picture',
  'month 1 grid',
  'month 8 grid',
];

describe('the pieces of the demo', () => {
  test.each(TRIED)(
    '%s passes its checks, and its press file those of others',
    async (file) => {
      const { job, assets } = await demoPiece(file);
      const desk = await openDesk(job, assets);
      const findings = checkDesk(desk);
      expect(findings.filter((f) => f.severity !== 'note')).toEqual([]);
      const smaller = await demoPiece(file, SMALL);
      const pdf = await pdfOf(smaller.job, smaller.assets);
      // What our own checks are silent about, the house is silent about: it reads nothing but the bytes.
      const { remarks } = await replyTo(pdf, job.house, orderOf(job));
      const said = remarks.filter(({ rule, weight }) => weight !== 'note' && (IS_ALL || rule !== 'picture-coarse'));
      const alone = said.filter(({ rule }) => !findings.some((f) => SAME_MATTER[rule]?.includes(f.rule)));
      expect(alone.map(({ title, found }) => `${title}: ${found}`)).toEqual([]);
      await inFolder((folder) => {
        const path = join(folder, 'f.pdf');
        writeFileSync(path, pdf);
        expect(run('qpdf', ['--check', path])).toContain('No syntax or stream encoding errors');
        expect(run('qpdf', ['--json=2', '--json-key=qpdf', path])).not.toContain('DeviceRGB');
        for (const font of run('pdffonts', [path]).trim().split('\n').slice(2)) expect(font).toMatch(/yes yes yes/);
        // Pictures are in the press’s own inks, masks in one.
        const images = run('pdfimages', ['-list', path]).trim().split('\n').slice(2);
        for (const image of images) expect(image).toMatch(/ (cmyk|gray) /);
        const boxes = pageBoxes(path);
        expect(boxes.length).toBe(desk.sides.length);
        for (const [i, { surface }] of desk.sides.entries()) {
          const { BleedBox = [], TrimBox = [] } = boxes[i] ?? {};
          const across = (b: readonly number[], from: number) => (b[from + 2] ?? NaN) - (b[from] ?? NaN);
          for (const [from, side] of [
            [0, 'width'],
            [1, 'height'],
          ] as const) {
            // pdfinfo prints two decimals.
            expect(Math.abs(across(TrimBox, from) - surface.boxes.trim[side] * PT)).toBeLessThan(0.0151);
            expect(Math.abs(across(BleedBox, from) - surface.boxes.bleed[side] * PT)).toBeLessThan(0.0151);
          }
        }
        const pages = pageTexts(path);
        const read = (page: number) => pages[page - 1] ?? '';
        expectTyped(job, desk, read);
        expectFlowing(job, desk, read);
      });
    },
    180_000,
  );
});

test('text that flows through three frames, hyphenated and justified, is read off the press file whole', async () => {
  const prose = Array.from(
    { length: 9 },
    (_, i) =>
      `${i + 1}. Eyes need about twenty minutes to accustom themselves to darkness, and one thoughtless ` +
      'headlamp to forget it altogether; unfortunately photographers are remarkably absent-minded.',
  ).join('\n');
  const look = { sizePt: 11, align: 'justified', hyphenate: true } as const;
  const front = [words('a', prose, [10, 10, 60, 60], look), words('b', '', [78, 10, 60, 60], look, { after: 'a' })];
  const back = [words('c', '', [10, 10, 128, 120], look, { after: 'b' })];
  const job = makeJob([], {}, { sides: 2, surfaces: { front, back } });
  const desk = await openDesk(job, inMemory());
  expect(checkDesk(desk).filter((f) => f.rule === 'text-overflow')).toEqual([]);
  const pdf = await pdfOf(job, inMemory());
  await inFolder((folder) => {
    const path = join(folder, 'f.pdf');
    writeFileSync(path, pdf);
    const pages = pageTexts(path);
    const read = (page: number) => pages[page - 1] ?? '';
    expect(expectFlowing(job, desk, read)).toBe(1);
    // On neither page alone.
    for (const page of [1, 2]) expect(letters(read(page))).not.toContain(letters(prose));
  });
});

/** Pieces that are looked at in every run; all of them where all is asked for. */
const STAND_FOR_THEIR_KIND: readonly string[] = [
  'meteor-night',
  'member-card',
  'observing-pad',
  'tent-banner',
  'trail-map',
  'visitor-folder',
];

describe('bench and press look alike', () => {
  const shapes: readonly Element[] = [
    box('ground', [0, 0, 148, 210], { fill: { kind: 'process', c: 2, m: 3, y: 14, k: 0 } }),
    shape(
      'round',
      [20, 20, 50, 30],
      { form: 'rectangle', radius: 8 },
      {
        fill: { kind: 'process', c: 80, m: 20, y: 0, k: 10 },
        stroke: { paint: { kind: 'process', c: 0, m: 80, y: 90, k: 0 }, widthPt: 3, dash: 'dashed' },
      },
    ),
    {
      ...box('turned', [80, 30, 40, 20], { opacity: 0.5, fill: { kind: 'process', c: 0, m: 60, y: 100, k: 0 } }),
      placement: { ...box('x', [80, 30, 40, 20]).placement, rotate: 30 },
    },
    words(
      'text',
      'The same glyphs on the bench and on the press, justified, with a rule beneath them all.',
      [20, 80, 100, 60],
      { align: 'justified', sizePt: 16, family: 'Source Serif 4' },
    ),
    line('rule', [20, 150, 100, 30], { slope: 'up' }),
  ];

  test('press page in mutool against the bench’s SVG: mean difference under 2 of 255 in lightness', async () => {
    // mutool here has no colour management, so only lightness of plain shapes is compared, by edges: both pages are
    // reduced to ink or paper first.
    const job = makeJob(
      shapes,
      {
        output: {
          ...makeJob().output,
          marks: { corner: false, centre: false, register: false, colourBar: false, slugLine: false, fold: false },
        },
      },
      { bleed: edges(0) },
    );
    await compare(job, inMemory(), 0.012);
  });

  test.each(PIECES.filter((file) => IS_ALL || STAND_FOR_THEIR_KIND.includes(file)))(
    '%s of the demo, every side, with its pictures and effects',
    async (file) => {
      const { job, assets } = await demoPiece(file, 0.4);
      const none = { corner: false, centre: false, register: false, colourBar: false, slugLine: false, fold: false };
      const pieces = job.pieces.map((p) => ({ ...p, bleed: edges(0) }));
      await compare({ ...job, pieces, output: { ...job.output, marks: none } }, assets, 0.02);
    },
    180_000,
  );

  /** Rasterises both, at 100 ppi or 800 px a side, through the same output profile; bounds the mean difference. */
  async function compare(job: Job, assets: AssetSource, bound: number) {
    const desk = await openDesk(job, assets);
    const plates = await pdfOf(job, assets);
    const { Resvg } = await import('@resvg/resvg-js');
    for (const [i, side] of desk.sides.entries()) {
      if (desk.sides.length > 20 && !SHOWN.includes(side.surface.name)) continue;
      const { trim } = side.surface.boxes;
      const items = itemsOf(side.drawing);
      const svg = svgPage(items, trim, await paintingOf(desk, items, 150));
      const ppi = Math.min(100, 800 / (Math.max(trim.width, trim.height) / 25.4));
      const width = Math.round((trim.width / 25.4) * ppi);
      const ours = new Resvg(svg, {
        fitTo: { mode: 'width', value: width },
        font: { loadSystemFonts: false },
      }).render();
      const bench = await sharp(ours.asPng()).removeAlpha().raw().toBuffer();
      // Ghostscript separates; the plates are shown through the job’s own profile, as the bench shows them.
      // At a higher resolution: its plates are not smoothed.
      const found = await platesOf(plates, i + 1, Math.round(ppi * 1.5));
      const [c, m, y, k] = ['Cyan', 'Magenta', 'Yellow', 'Black'].map((name) => found.get(name));
      if (!c || !m || !y || !k) throw new Error('a plate is missing');
      const cmyk = new Uint8Array(c.width * c.height * 4);
      for (const [j, { ink }] of [c, m, y, k].entries())
        for (let p = 0; p < ink.length; p += 1) cmyk[p * 4 + j] = ink[p] ?? 0;
      // A spot ink is shown by its build.
      for (const ink of job.inks ?? []) {
        const spot = found.get(ink.name)?.ink ?? [];
        const shares = [ink.c, ink.m, ink.y, ink.k].map((share) => share / 100);
        for (let p = 0; p < spot.length; p += 1)
          for (const [j, share] of shares.entries())
            cmyk[p * 4 + j] = Math.min(255, (cmyk[p * 4 + j] ?? 0) + (spot[p] ?? 0) * share);
      }
      const rgb = Buffer.from(desk.profile.pictures().cmykToRgb(cmyk));
      const shown = await sharp(rgb, { raw: { width: c.width, height: c.height, channels: 3 } })
        .resize(ours.width, ours.height, { fit: 'fill' })
        .raw()
        .toBuffer();
      let sum = 0;
      for (let p = 0; p < bench.length; p += 1) {
        const d = (bench[p] ?? 0) - (shown[p] ?? 0);
        sum += d < 0 ? -d : d;
      }
      expect(sum / bench.length / 255).toBeLessThan(bound);
    }
  }
});
