import { readFileSync } from 'node:fs';
import type { PDFRawStream } from '@cantoo/pdf-lib';
import { PDFArray, PDFDict, PDFDocument, PDFName, decodePDFRawStream } from '@cantoo/pdf-lib';
import { withProfile } from '../core/job';
import { COMMON_CODES } from '../core/shop';
import { createHash } from 'node:crypto';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { readPicture } from '../bring-in/picture';
import { itemsOf } from '../core/drawing';
import type { Job } from '../core/job';
import { marksFor } from '../core/marks';
import { apply, surfaceBoxes, edges, insets } from '../core/layout';
import { box, inMemory, line, makeJob, picture, words } from '../testing/jobs';
import { boxesOf, inFolder, platesOf, run } from '../testing/programs';
import { exported, pdfOf } from '../testing/exports';
import { openDesk } from './index';

const PT = 72 / 25.4;

/** A photograph-like picture with a hash, for placing. */
async function noise(width: number, height: number, format: 'jpeg' | 'png' = 'jpeg') {
  const raw = Buffer.from(Uint8Array.from({ length: width * height * 3 }, (_, i) => (i * 37 + (i >> 7) * 91) & 255));
  const bytes = await sharp(raw, { raw: { width, height, channels: 3 } })
    .blur(3)
    [format]()
    .toBuffer();
  const read = await readPicture(`noise.${format}`, bytes);
  if (!read.ok) throw new Error(read.problem);
  const sha = createHash('sha256').update(bytes).digest('hex');
  return { sha, facts: read.picture, assets: inMemory(new Map([[sha, bytes]])) };
}

describe('boxes, as poppler’s pdfinfo reads them', () => {
  test.each([
    ['A5, 3 mm', { width: 148, height: 210 }, edges(3)],
    ['5.5 × 8.5 in, 1/8 in', { width: 139.7, height: 215.9 }, edges(3.175)],
    ['uneven bleed', { width: 99, height: 210 }, { top: 3, right: 5, bottom: 8, left: 0 }],
  ])('%s', async (_name, size, bleed) => {
    const pdf = await pdfOf(makeJob([box('ground', [0, 0, size.width, size.height])], {}, { size, bleed }));
    await inFolder((folder) => {
      const path = join(folder, 'f.pdf');
      writeFileSync(path, pdf);
      const { MediaBox, BleedBox, TrimBox } = boxesOf(path, 1);
      const side = (b: readonly number[], i: number) => b[i] ?? NaN;
      // pdfinfo prints two decimals: half of the last one is its rounding.
      const near = (a: number, b: number) => expect(Math.abs(a - b)).toBeLessThan(0.0151);
      near(side(TrimBox, 2) - side(TrimBox, 0), size.width * PT);
      near(side(TrimBox, 3) - side(TrimBox, 1), size.height * PT);
      near(side(TrimBox, 0) - side(BleedBox, 0), bleed.left * PT);
      near(side(BleedBox, 2) - side(TrimBox, 2), bleed.right * PT);
      near(side(BleedBox, 3) - side(TrimBox, 3), bleed.top * PT);
      near(side(TrimBox, 1) - side(BleedBox, 1), bleed.bottom * PT);
      expect(side(MediaBox, 0)).toBe(0);
      expect(side(MediaBox, 2)).toBeGreaterThan(side(BleedBox, 2));
    });
  });

  test('a sheet over 200 in takes a user unit, so that its boxes still say its size', async () => {
    const pdf = await pdfOf(makeJob([box('ground', [0, 0, 6000, 900])], {}, { size: { width: 6000, height: 900 } }));
    await inFolder((folder) => {
      writeFileSync(join(folder, 'f.pdf'), pdf);
      const json = run('qpdf', ['--json=2', '--json-key=qpdf', join(folder, 'f.pdf')]);
      expect(json).toContain('"/UserUnit": 2');
    });
  });
});

describe('colour, as Ghostscript’s tiffsep separates it', () => {
  const PATCHES = [
    [100, 0, 0, 0],
    [0, 100, 0, 0],
    [0, 0, 100, 0],
    [0, 0, 0, 100],
    [50, 0, 0, 0],
    [0, 25, 0, 0],
    [10, 20, 30, 40],
    [91, 84, 36, 31],
    [3, 0, 0, 1],
    [75, 68, 67, 90],
  ] as const;

  test('every patch agrees with what was asked for within 1 %', async () => {
    const front = PATCHES.map(([c, m, y, k], i) =>
      box(`p${i}`, [10 + 12 * i, 20, 10, 10], { fill: { kind: 'process', c, m, y, k } }),
    );
    const job = makeJob(front);
    const { sheet } = sheetOf(job);
    const plates = await platesOf(await pdfOf(job), 1, 72);
    PATCHES.forEach((patch, i) => {
      const [x, y] = [(10 + 12 * i + 5 - sheet.x) * PT, (25 - sheet.y) * PT];
      ['Cyan', 'Magenta', 'Yellow', 'Black'].forEach((name, j) => {
        expect(Math.abs((plates.get(name)?.at(x, y) ?? NaN) * 100 - (patch[j] ?? NaN))).toBeLessThan(1);
      });
    });
  });

  test('paper knocks out, black type overprints, a black box does not', async () => {
    const ground = { kind: 'process' as const, c: 0, m: 50, y: 0, k: 0 };
    const black = { kind: 'process' as const, c: 0, m: 0, y: 0, k: 100 };
    const front = [
      box('ground', [0, 0, 148, 210], { fill: ground }),
      box('hole', [20, 20, 20, 20], { fill: { kind: 'paper' } }),
      box('black', [60, 20, 20, 20], { fill: black }),
      line('rule', [20, 80, 100, 0], { stroke: { paint: black, widthPt: 30, dash: 'solid' } }),
    ];
    const job = makeJob(front);
    const { sheet } = sheetOf(job);
    const plates = await platesOf(await pdfOf(job), 1, 72);
    const magenta = (x: number, y: number) => plates.get('Magenta')?.at((x - sheet.x) * PT, (y - sheet.y) * PT) ?? NaN;
    expect(magenta(30, 30)).toBeCloseTo(0, 2);
    expect(magenta(70, 30)).toBeCloseTo(0, 2);
    expect(magenta(70, 80)).toBeCloseTo(0.5, 1);
    expect(plates.get('Black')?.at((70 - sheet.x) * PT, (80 - sheet.y) * PT)).toBeCloseTo(1, 2);
  });

  test('inkcov agrees on the coverage of a plain page', async () => {
    const marks = { corner: false, centre: false, register: false, colourBar: false, slugLine: false, fold: false };
    const job = makeJob(
      [box('half', [0, 0, 74, 210], { atTrim: 'stops', fill: { kind: 'process', c: 100, m: 0, y: 0, k: 0 } })],
      { output: { marks, previewPixels: 800 } },
      { bleed: edges(0) },
    );
    const pdf = await pdfOf(job);
    await inFolder((folder) => {
      writeFileSync(join(folder, 'f.pdf'), pdf);
      const out = run('gs', [
        '-q',
        '-dSAFER',
        '-dNOPAUSE',
        '-dBATCH',
        '-sDEVICE=inkcov',
        '-o',
        '-',
        join(folder, 'f.pdf'),
      ]);
      const [c, m, y, k] = out.trim().split(/\s+/).map(Number);
      expect(c).toBeCloseTo(0.5, 2);
      expect([m, y, k]).toEqual([0, 0, 0]);
    });
  });
});

/** @param plates for which the colour bar has patches; without any there is no bar */
function sheetOf(job: Job, plates: readonly string[] = ['Black']) {
  const [piece] = job.pieces;
  if (!piece) throw new Error('no piece');
  const boxes = surfaceBoxes({ width: 148, height: 210 }, piece.bleed ?? edges(3), piece.safe ?? edges(5), piece.grid);
  // The slug line takes a line of type; its face is the only thing not known here.
  const words = { job: job.name, side: 'front', date: '2026-05-01', plates: 'C M Y K' };
  const made = marksFor({
    boxes,
    marks: job.output.marks,
    offset: 3,
    slug: 0,
    words,
    face: undefined,
    lines: [],
    codes: COMMON_CODES,
    inks: { plates, spots: [] },
  });
  return { boxes, sheet: made.sheet, items: made.items };
}

test('marks lie outside the bleed, in every plate', async () => {
  const job = makeJob([box('ground', [0, 0, 148, 210], { fill: { kind: 'paper' } })]);
  // Nothing is printed but marks.
  const { boxes, sheet, items } = sheetOf(job, []);
  for (const item of items) {
    if (item.kind !== 'path') continue;
    const points = item.path.flatMap((s) =>
      s[0] === 'Z' ? [] : [{ x: s[s.length - 2] as number, y: s[s.length - 1] as number }],
    );
    for (const p of points) {
      const out = insets({ ...p, width: 0, height: 0 }, boxes.bleed);
      expect(Math.min(out.top, out.right, out.bottom, out.left)).toBeLessThanOrEqual(1e-9);
    }
  }
  const plates = await platesOf(await pdfOf(job), 1, 144);
  // The upper left corner’s level tick: 3 to 8 mm outside the trim.
  const tick = (plate: string) =>
    Math.max(
      ...[-1, 0, 1].map((d) => plates.get(plate)?.at((-5.5 - sheet.x) * PT * 2, (0 - sheet.y) * PT * 2 + d) ?? 0),
    );
  for (const plate of ['Cyan', 'Magenta', 'Yellow', 'Black']) {
    expect(tick(plate)).toBeGreaterThan(0.2);
    // Nothing of the marks in the artwork: paper everywhere inside the bleed.
    for (const [x, y] of [
      [-2, -2],
      [74, -2],
      [74, 105],
      [150, 212],
    ] as const) {
      expect(plates.get(plate)?.at((x - sheet.x) * PT * 2, (y - sheet.y) * PT * 2)).toBe(0);
    }
  }
});

test('fonts are embedded and subset, and text copies as typed (pdffonts, pdftotext)', async () => {
  const typed = ['Meteor night', 'Łódź, “quoted”, fifty fjords', 'Lie down, look up'];
  const families = ['League Gothic', 'Source Serif 4', 'Lora'];
  const pdf = await pdfOf(
    makeJob(
      typed.map((text, i) =>
        words(`t${i}`, text, [10, 20 + 30 * i, 120, 25], { family: families[i] ?? '', sizePt: 20 }),
      ),
    ),
  );
  await inFolder((folder) => {
    const path = join(folder, 'f.pdf');
    writeFileSync(path, pdf);
    const fonts = run('pdffonts', [path]).trim().split('\n').slice(2);
    expect(fonts.length).toBeGreaterThanOrEqual(4);
    for (const font of fonts) expect(font).toMatch(/^[A-Z]{6}\+\S+\s+CID TrueType\s+Identity-H\s+yes yes yes/);
    const text = run('pdftotext', ['-raw', path, '-']);
    for (const line of typed) expect(text).toContain(line);
  });
});

test('words stand where they were set, to a hundredth of a point (pdftotext -bbox)', async () => {
  const job = makeJob([words('line', 'moon stars', [20, 50, 100, 20], { sizePt: 24 })]);
  const desk = await openDesk(job, inMemory());
  const [run1] = itemsOf(
    desk.sides[0]?.drawing ?? {
      surface: '',
      boxes: sheetOf(job).boxes,
      frames: [],
      repeated: [],
      reserved: [],
      lines: [],
      coats: [],
      notes: [],
    },
  );
  if (run1?.kind !== 'glyphs') throw new Error('no glyphs');
  const second = run1.glyphs.find((g) => g.text === 's');
  const there = second && apply(run1.matrix, second);
  await inFolder(async (folder) => {
    writeFileSync(join(folder, 'f.pdf'), await pdfOf(job));
    const { TrimBox } = boxesOf(join(folder, 'f.pdf'), 1);
    const out = run('pdftotext', ['-bbox', join(folder, 'f.pdf'), '-']);
    const x = Number(/xMin="([\d.]+)"[^>]*>stars</.exec(out)?.[1]);
    expect(Math.abs(x - ((TrimBox[0] ?? 0) + (there?.x ?? 0) * PT))).toBeLessThan(0.011);
  });
});

describe('pictures (pdfimages)', () => {
  test('go out at their true resolution, in CMYK, once however often they are used', async () => {
    const { sha, facts, assets } = await noise(600, 400);
    const front = [picture('a', sha, [20, 20, 50.8, 33.8667]), picture('b', sha, [20, 100, 50.8, 33.8667])];
    const pdf = await pdfOf(makeJob(front, { assets: { [sha]: facts } }), assets);
    await inFolder((folder) => {
      writeFileSync(join(folder, 'f.pdf'), pdf);
      const rows = run('pdfimages', ['-list', join(folder, 'f.pdf')])
        .trim()
        .split('\n')
        .slice(2)
        .map((r) => r.trim().split(/\s+/));
      expect(rows.map((r) => r.slice(3, 9))).toEqual([
        ['600', '400', 'cmyk', '4', '8', 'jpeg'],
        ['600', '400', 'cmyk', '4', '8', 'jpeg'],
      ]);
      expect(rows[0]?.[12]).toBe('300');
      expect(new Set(rows.map((r) => r[10])).size).toBe(1);
    });
  });
  test('far too many pixels are brought down to one and a half times what is needed, never up', async () => {
    const { sha, facts, assets } = await noise(1200, 800, 'png');
    const front = [picture('tiny', sha, [20, 20, 25.4, 16.9333]), picture('large', sha, [20, 60, 101.6, 67.7333])];
    const pdf = await pdfOf(makeJob(front, { assets: { [sha]: facts } }), assets);
    await inFolder((folder) => {
      writeFileSync(join(folder, 'f.pdf'), pdf);
      const out = run('pdfimages', ['-list', join(folder, 'f.pdf')]);
      const ppi = out
        .trim()
        .split('\n')
        .slice(2)
        .map((r) => Number(r.trim().split(/\s+/)[12]))
        .sort((a, b) => a - b);
      expect(ppi).toEqual([300, 450]);
      expect(out).not.toContain('jpeg');
    });
  });
});

describe('the file itself', () => {
  test('is sound PDF 1.6 with one PDF/X output intent, live metadata and no extras (qpdf)', async () => {
    const job = makeJob(
      [box('ground', [0, 0, 148, 210], { opacity: 0.5 }), words('t', 'Moon', [20, 20, 50, 20])],
      {},
      { sides: 2 },
    );
    const pdf = await pdfOf(job);
    await inFolder((folder) => {
      const path = join(folder, 'f.pdf');
      writeFileSync(path, pdf);
      expect(run('qpdf', ['--check', path])).toContain('No syntax or stream encoding errors');
      const json = run('qpdf', ['--json=2', '--json-key=qpdf', path]);
      expect(json.match(/"\/S": "\/GTS_PDFX"/g)).toHaveLength(1);
      expect(json).toContain('/DestOutputProfile');
      expect(json).not.toMatch(/DeviceRGB|JavaScript|\/AA"|\/Annots|\/Encrypt|EmbeddedFile|ArtBox/);
      expect(json).toMatch(/"\/CS": "\/DeviceCMYK",\s+"\/S": "\/Transparency"/);
      const info = run('pdfinfo', [path]);
      expect(info).toMatch(/PDF version:\s+1\.6/);
      expect(info).toMatch(/Pages:\s+2/);
      const meta = run('pdfinfo', ['-meta', path]);
      expect(meta).toContain('<pdfxid:GTS_PDFXVersion>PDF/X-4</pdfxid:GTS_PDFXVersion>');
      expect(meta).toContain('2026-05-01T09:00:00Z');
      expect(meta).toContain('<pdf:Trapped>False</pdf:Trapped>');
    });
  });

  test.each(['press', 'preview', 'working'] as const)(
    '%s: the same job and moment give the same bytes',
    async (kind) => {
      const { sha, facts, assets } = await noise(120, 80);
      const job = makeJob([picture('a', sha, [20, 20, 40, 30]), words('t', 'Moon', [20, 60, 50, 20])], {
        assets: { [sha]: facts },
      });
      const [one, two] = [await exported(job, kind, assets), await exported(job, kind, assets)];
      expect(
        one.map((f) => Buffer.from(f.bytes).equals(Buffer.from(two.find((t) => t.name === f.name)?.bytes ?? []))),
      ).not.toContain(false);
    },
  );
});

test('the preview is cut to the trim, in sRGB, without marks', async () => {
  const job = makeJob([box('ground', [0, 0, 148, 210])], { output: { ...makeJob().output, previewPixels: 400 } });
  const made = await exported(job, 'preview');
  expect(made.map((f) => f.name)).toEqual(['test-job-preview.pdf', 'test-job-front.png']);
  const png = await sharp(made[1]?.bytes).metadata();
  expect([png.width, png.height]).toEqual([282, 400]);
  await inFolder((folder) => {
    writeFileSync(join(folder, 'f.pdf'), made[0]?.bytes ?? '');
    const { MediaBox, TrimBox } = boxesOf(join(folder, 'f.pdf'), 1);
    expect(MediaBox).toEqual(TrimBox);
    expect(run('qpdf', ['--json=2', '--json-key=qpdf', join(folder, 'f.pdf')])).not.toContain('DeviceCMYK');
  });
});

test('a profile that was brought in is the output intent, byte for byte; builds are not touched by it', async () => {
  const icc = readFileSync('/usr/share/color/icc/ghostscript/default_cmyk.icc');
  const sha = createHash('sha256').update(icc).digest('hex');
  const ground = box('ground', [0, 0, 148, 210], { fill: { kind: 'process', c: 30, m: 20, y: 10, k: 0 } });
  const green = box('green', [20, 20, 60, 60], { fill: { kind: 'rgb', r: 30, g: 120, b: 60 } });
  const job = withProfile(makeJob([ground, green]), sha, { kind: 'profile', name: 'house.icc', about: 'House' });
  const desk = await openDesk(job, inMemory(new Map([[sha, icc]])));
  const pdf = await pdfOf(job, inMemory(new Map([[sha, icc]])));
  const document = await PDFDocument.load(pdf);
  const intent = document.catalog.lookup(PDFName.of('OutputIntents'), PDFArray).lookup(0, PDFDict);
  const stream = document.context.lookup(intent.get(PDFName.of('DestOutputProfile'))) as PDFRawStream;
  expect(Buffer.from(decodePDFRawStream(stream).decode()).equals(icc)).toBe(true);
  // No registry lists it, so none is named (ISO 15930-7).
  expect([String(intent.get(PDFName.of('OutputConditionIdentifier'))), intent.get(PDFName.of('RegistryName'))]).toEqual(
    ['(Custom)', undefined],
  );
  const plates = await platesOf(pdf, 1, 72);
  const wanted = desk.colour.toBuild({ r: 30, g: 120, b: 60 });
  const { sheet } = sheetOf(job);
  const ink = (name: string, x: number, y: number) => plates.get(name)?.at((x - sheet.x) * PT, (y - sheet.y) * PT);
  expect(ink('Cyan', 40, 40)).toBeCloseTo(wanted.c / 100, 1);
  expect(ink('Cyan', 100, 150)).toBeCloseTo(0.3, 1);
});
