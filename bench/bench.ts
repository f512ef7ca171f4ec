import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { deflateSync } from 'node:zlib';
import { PDFContext, PDFDict, PDFName, PDFNumber, PDFRawStream, PDFWriter } from '@cantoo/pdf-lib';
import { chromium } from '@playwright/test';
import sharp from 'sharp';
import { CHROMIUM } from '../scripts/chromium.mjs';
import { checkSurface } from '../src/core/check';
import { createComposer, composeContextOf, type Composer } from '../src/core/compose';
import type { Drawing } from '../src/core/drawing';
import { itemsOf } from '../src/core/drawing';
import { parseLength } from '../src/core/measure';
import { exportJob, gathered, openDesk } from '../src/output';
import { FORMATS } from '../src/core/format';
import { blankOf, type Job } from '../src/core/job';
import { blankPicture, svgPage } from '../src/paint/svg';
import { begin, inMemory, makeJob } from '../src/testing/jobs';
import { inBrowser, typedInBrowser } from './in-browser';
import { catalogue } from './catalogue';
import { machines } from './machines';
import { planner } from './planner';
import { plates } from './plates';
import { saving } from './saving';
import { labels } from './labels';
import { sheets } from './sheets';
import { typing } from './typing';
import { chainedPage, crowdedPage, manyPages } from './pages';
import { mean, ms, note, rows, times, once } from './report';

const AT = new Date('2026-05-01T09:00:00Z');

/** Every kind with its usual decisions, and the largest of those that grow. */
const BLANKS: readonly (readonly [kind: string, set: Readonly<Record<string, string>>])[] = [
  ...FORMATS.map((f) => [f.kind, {}] as const),
  ['catalogue', { pages: '400', binding: 'wire' }],
  ['catalogue', { pages: '1200' }],
  ['map', { size: 'A0', across: '8', down: '8' }],
  ['brochure', { fold: 'accordion', panels: '12', size: '1200x210mm' }],
  ['labels', { size: '20x10mm', sheet: 'SRA3' }],
  ['wall-calendar', { months: '24' }],
];

async function blanks() {
  const solve = (job: Job) => () => {
    const [piece] = job.pieces;
    const [side] = piece ? blankOf(job, piece).surfaces : [];
    // The side that is looked at.
    if (side) blankPicture(side, { width: 800, height: 600 });
  };
  const jobs = BLANKS.map(([kind, set]) => ({
    what: `${kind} ${Object.values(set).join(' ')}`.trim(),
    job: begin(kind, set),
  }));
  const found: { what: string; job: Job; ms: number }[] = [];
  for (const { what, job } of jobs) found.push({ what, job, ms: await mean(solve(job), 120) });
  found.sort((a, b) => b.ms - a.ms);
  const [worst] = found;
  if (!worst) return;
  const most = await mean(solve(worst.job));
  const floor = await mean(() => structuredClone(worst.job));
  const average = found.reduce((sum, f) => sum + f.ms, 0) / found.length;
  note(`solving and drawing a blank, mean of ${found.length}`, ms(average));
  note(
    `the slowest of them: ${worst.what} (wanted: under 5 ms; floor: cloning the job)`,
    ms(most),
    ms(floor),
    times(most, floor),
  );
}

async function fields() {
  const texts = ['148', '5.5in', `5'6"`, '279.4mm/3 + 1mm', '3 1/2 in', '12p6', '(210 - 2*5)/2'];
  const ours = await mean(() => texts.forEach((t) => parseLength(t, { unit: 'mm', ppi: 300 })));
  const floor = await mean(() => texts.forEach((t) => parseFloat(t)));
  note(
    'field parsing, each (floor: parseFloat)',
    `${((ours * 1000) / texts.length).toFixed(2)} µs`,
    `${((floor * 1000) / texts.length).toFixed(3)} µs`,
    times(ours, floor),
  );
}

async function layout() {
  for (const count of [500, 5000]) {
    const job = makeJob(crowdedPage(count));
    const desk = await openDesk(job, inMemory());
    const [piece] = job.pieces;
    const [side] = desk.sides;
    const elements = piece?.surfaces['front'];
    if (!piece || !elements || !side) throw new Error('nothing to lay out');
    const floor = await mean(() => structuredClone(job));
    const ground = composeContextOf(job, 300, desk.resources);
    const surface = side.surface;
    const draw = (composer: Composer, of: typeof piece): Drawing => {
      const [drawing] = composer.piece(of, [surface]).drawings;
      if (!drawing) throw new Error('nothing drawn');
      return drawing;
    };
    const cold = await mean(() => {
      const drawing = draw(createComposer(ground), piece);
      checkSurface(job, piece, 'front', drawing, { blank: side.blank });
    });
    note(`${count} elements: solve, draw and check (floor: cloning the job)`, ms(cold), ms(floor), times(cold, floor));
    const composer = createComposer(ground);
    const once = draw(composer, piece);
    const checked = await mean(() => checkSurface(job, piece, 'front', once, { blank: side.blank }));
    note(
      `${count} elements: checked by every rule (wanted: under 200 ms)`,
      ms(checked),
      ms(floor),
      times(checked, floor),
    );
    let i = 0;
    const warm = await mean(() => {
      i = (i + 1) % count;
      const front = elements.map((e, n) => (n === i ? { ...e } : e));
      draw(composer, { ...piece, surfaces: { ...piece.surfaces, front } });
    });
    note(`${count} elements: draw again after one change`, ms(warm), ms(floor), times(warm, floor));
    const chained = makeJob(chainedPage(count)).pieces[0];
    if (!chained) throw new Error('nothing to lay out');
    let gap = 2;
    const all = await mean(() => {
      gap = gap === 2 ? 2.2 : 2;
      const boxes = { ...surface.boxes, measures: { gap } };
      createComposer(ground).piece(chained, [{ ...surface, boxes }]);
    });
    note(`${count} elements in chains: solve and draw after a measure changed`, ms(all), ms(floor), times(all, floor));
  }
}

/** The bare writer: pages whose content streams are the same bytes, and nothing else worked out. */
async function bareWriter(pages: number, content: string): Promise<number> {
  return once(async () => {
    const context = PDFContext.create();
    const tree = context.nextRef();
    const kids = Array.from({ length: pages }, () => {
      const bytes = deflateSync(Buffer.from(content));
      const dict = PDFDict.withContext(context);
      dict.set(PDFName.of('Filter'), PDFName.of('FlateDecode'));
      dict.set(PDFName.of('Length'), PDFNumber.of(bytes.length));
      const contents = context.register(PDFRawStream.of(dict, bytes));
      return context.register(
        context.obj({ Type: 'Page', Parent: tree, MediaBox: [0, 0, 476, 672], Contents: contents }),
      );
    });
    context.assign(tree, context.obj({ Type: 'Pages', Kids: kids, Count: pages }));
    context.trailerInfo.Root = context.register(context.obj({ Type: 'Catalog', Pages: tree }));
    await PDFWriter.forContext(context, Infinity).serializeToBuffer();
  });
}

async function press() {
  const [width, height] = [1819, 1100];
  const raw = Buffer.from(Uint8Array.from({ length: width * height * 3 }, (_, i) => (i * 13 + (i >> 9)) & 255));
  const bytes = await sharp(raw, { raw: { width, height, channels: 3 } })
    .blur(2)
    .jpeg({ quality: 88 })
    .toBuffer();
  const sha = 'c'.repeat(64);
  const assets = inMemory(new Map([[sha, bytes]]));
  const folder = mkdtempSync(join(tmpdir(), 'ys-bench-'));
  const browser = await chromium.launch(CHROMIUM);
  try {
    const jobs = [
      { name: 'a page of 500 elements', job: makeJob(crowdedPage(500)), pages: 1 },
      { name: '100 pages with text and pictures', job: manyPages(100, sha, width, height), pages: 100 },
    ];
    for (const { name, job, pages } of jobs) {
      let pdf: Uint8Array = new Uint8Array();
      const ours = await once(async () => {
        const [file] = await exportJob({ job, assets, kind: 'press', at: AT });
        if (file) pdf = (await gathered(file)).bytes;
      });
      const path = join(folder, 'ours.pdf');
      writeFileSync(path, pdf);
      const text = execFileSync('qpdf', ['--qdf', '--object-streams=disable', path, '-'], {
        maxBuffer: 1 << 30,
      }).toString('latin1');
      const streams = [...text.matchAll(/stream\n(q\n[\d.-]+ 0 0 -[\s\S]*?)\nendstream/g)].map((m) => m[1] ?? '');
      const bare = await bareWriter(pages, streams[0] ?? '');
      const desk = await openDesk(job, assets);
      writeFileSync(join(folder, 'picture.jpg'), bytes);
      const html =
        '<style>@page{size:148mm ' +
        `210mm;margin:0}body{margin:0}svg{display:block;page-break-after:always}</style>${desk.sides
          .map((side) =>
            svgPage(itemsOf(side.drawing), side.surface.boxes.trim, {
              fonts: desk.fonts.set,
              colour: desk.colour,
              picture: () => 'picture.jpg',
              page: () => '',
            }),
          )
          .join('')}`;
      writeFileSync(join(folder, 'pages.html'), html);
      const page = await browser.newPage();
      const chrome = await once(async () => {
        await page.goto(`file://${join(folder, 'pages.html')}`, { timeout: 120_000 });
        await page.pdf({ width: '148mm', height: '210mm' });
      });
      await page.close();
      note(
        `press PDF, ${name} (floor: headless Chromium printing the same pages)`,
        ms(ours),
        ms(chrome),
        times(ours, chrome),
      );
      note(`press PDF, ${name} (floor: bare PDF writer, same content bytes)`, ms(ours), ms(bare), times(ours, bare));
    }
  } finally {
    await browser.close();
    rmSync(folder, { recursive: true, force: true });
  }
  note('peak memory of all of the above', `${Math.round(process.resourceUsage().maxRSS / 1024)} MB`);
}

const PARTS = {
  fields,
  blanks,
  layout,
  typing,
  catalogue,
  planner,
  plates,
  machines,
  sheets,
  labels,
  press,
  saving,
  browser: inBrowser,
  typed: typedInBrowser,
};
const wanted = process.argv.slice(2);
for (const [name, part] of Object.entries(PARTS)) if (wanted.length === 0 || wanted.includes(name)) await part();
console.table(rows);
