/**
 * The print house at the other end: files that Ghostscript makes, one fault planted in each, sound ones that must
 * not be refused, and facts beside those that poppler’s programs read of the same files.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { PDFArray, PDFDict, PDFName, PDFString, type PDFDocument } from '@cantoo/pdf-lib';
import { demoPiece } from '../testing/demo';
import { pdfOf } from '../testing/exports';
import { BLEED, FOLLOWS, HEIGHT, MENTIONED, MM, PLANTED, changed, pixels, planted, sound } from '../testing/planted';
import { inFolder, pageBoxes, run } from '../testing/programs';
import { House, SHIPPED_PRINTERS } from '../core/shop';
import { INTAKE_RULES, NotReadable, readFile, replyTo, type Reply } from './index';

const HOUSE = House.parse({ name: 'Yard', rgb: 'refuse', inkLimit: 300, minTypePt: 6, minReversedTypePt: 7 });
const rulesOf = ({ remarks }: Reply) => [...new Set(remarks.filter((r) => r.weight !== 'note').map((r) => r.rule))];

describe('planted faults', () => {
  test('a sound file is taken, whichever way it is written', async () => {
    const bytes = await sound();
    expect(rulesOf(await replyTo(bytes, HOUSE))).toEqual([]);
    await inFolder(async (folder) => {
      const [path, out] = [join(folder, 'f.pdf'), join(folder, 'o.pdf')];
      writeFileSync(path, bytes);
      for (const how of [
        ['--object-streams=generate'],
        ['--qdf', '--object-streams=disable'],
        ['--linearize'],
        ['--stream-data=uncompress'],
        ['--coalesce-contents', '--recompress-flate'],
      ]) {
        run('qpdf', [...how, path, out]);
        expect([how, rulesOf(await replyTo(new Uint8Array(readFileSync(out)), HOUSE))]).toEqual([how, []]);
      }
    });
  });

  test.each(PLANTED)('%s: %s', async (rule, _, make) => {
    const found = rulesOf(await replyTo(await make(), HOUSE));
    expect(found).toContain(rule);
    // Nothing else is said of it, but what follows from the fault itself.
    expect(found.filter((other) => other !== rule && !(FOLLOWS[rule] ?? []).includes(other))).toEqual([]);
  });

  test.each(MENTIONED)('%s is mentioned: %s', async (rule, _, make) => {
    const { remarks } = await replyTo(await make(), { ...HOUSE, maxPpi: 450 });
    expect(remarks.find((r) => r.rule === rule)).toMatchObject({ weight: 'note' });
    // Nor is it there where nobody planted it.
    expect((await replyTo(await sound(), { ...HOUSE, maxPpi: 450 })).remarks.map((r) => r.rule)).not.toContain(rule);
  });

  test('every rule but those of an order has a fault planted for it', () => {
    const covered = new Set([...PLANTED, ...MENTIONED].map(([rule]) => rule));
    const others = INTAKE_RULES.map(({ id }) => id).filter((id) => !covered.has(id));
    // Those of the standard are planted in files of our own, below.
    expect(others).toEqual(['page-count', 'transparency', 'standard']);
  });

  test('what was ordered is asked for', async () => {
    const bytes = await sound();
    const of = async (order: object) => rulesOf(await replyTo(bytes, HOUSE, order));
    expect(await of({ pages: 1, sizes: [{ width: 148, height: 210 }] })).toEqual([]);
    expect(await of({ pages: 2 })).toEqual(['page-count']);
    expect(await of({ sizes: [{ width: 210, height: 297 }] })).toEqual(['page-sizes']);
    // A tenth of what was ordered is a drawing to scale: its bleed of 3 mm is one of 30.
    const large = { sizes: [{ width: 1480, height: 2100 }] };
    expect(await of(large)).toEqual(expect.not.arrayContaining(['page-sizes', 'bleed-small']));
    expect(await of({ ...large, bleed: 40 })).toContain('bleed-small');
  });
});

/** A file as another program writes it anew. */
const rewritten = (program: string, how: readonly string[], bytes: Uint8Array): Promise<Uint8Array> =>
  inFolder((folder) => {
    const [from, to] = [join(folder, 'f.pdf'), join(folder, 'o.pdf')];
    writeFileSync(from, bytes);
    run(program, [...how, from, to]);
    return new Uint8Array(readFileSync(to));
  });

/** A file that a package of Python’s draws. */
const drawnBy = (script: string): Promise<Uint8Array> =>
  inFolder((folder) => {
    const to = join(folder, 'o.pdf');
    run('/usr/bin/python3', ['-c', script, to, 'public/fonts/barlow-latin-400-normal.ttf']);
    return new Uint8Array(readFileSync(to));
  });

/** Boxes, inks, a font of its own and one that every reader has, a picture of 40 pixels over 60 mm; two pages. */
const REPORTLAB = `
import sys, io
from PIL import Image
from reportlab.lib.units import mm
from reportlab.lib.utils import ImageReader
from reportlab.pdfbase import pdfmetrics
from reportlab.pdfbase.ttfonts import TTFont
from reportlab.pdfgen.canvas import Canvas
c = Canvas(sys.argv[1], pagesize=(154 * mm, 216 * mm), initialFontName='Times-Roman')
pdfmetrics.registerFont(TTFont('Barlow', sys.argv[2]))
for n in range(2):
  c.setTrimBox((3 * mm, 3 * mm, 151 * mm, 213 * mm))
  c.setFillColorCMYK(0.1, 0.05, 0.2, 0)
  c.rect(0, 0, 154 * mm, 216 * mm, stroke=0, fill=1)
  c.setFillColorCMYK(0, 0, 0, 1)
  c.setFont('Barlow', 14)
  c.drawString(20 * mm, 180 * mm, 'Meteor night %d' % n)
  c.setFont('Times-Roman', 11)
  c.drawString(20 * mm, 170 * mm, 'On the hill')
  c.drawImage(ImageReader(Image.new('RGB', (40, 40), (200, 120, 20))), 20 * mm, 60 * mm, 60 * mm, 60 * mm)
  c.showPage()
c.save()
`;

/** Words in a font that it embeds itself, an area, a picture of 30 pixels over 200 pt. */
const CAIRO = `
import sys, cairo
surface = cairo.PDFSurface(sys.argv[1], 420, 595)
c = cairo.Context(surface)
c.set_source_rgb(0.9, 0.8, 0.4)
c.rectangle(20, 20, 200, 100)
c.fill()
c.set_source_rgb(0, 0, 0)
c.set_font_size(18)
c.move_to(40, 300)
c.show_text('Meteor night')
image = cairo.ImageSurface(cairo.FORMAT_RGB24, 30, 30)
c.translate(100, 350)
c.scale(200 / 30, 200 / 30)
c.set_source_surface(image)
c.paint()
c.show_page()
surface.finish()
`;

test('remarks say where, in millimetres from the trimmed corner, and what the house wants', async () => {
  const x = BLEED + 20 * MM;
  const y = BLEED + HEIGHT - 40 * MM;
  const { answer, remarks, size } = await replyTo(
    await planted(`1 0 0 setrgbcolor ${x} ${y} ${10 * MM} ${5 * MM} rectfill`),
    HOUSE,
  );
  const [rgb] = remarks;
  expect([answer, rgb?.rule, rgb?.pages, rgb?.wish]).toEqual([
    'sent back',
    'rgb',
    [1],
    'Colours in the press’s own inks.',
  ]);
  expect(size.width).toBeCloseTo(148, 3);
  for (const [key, mm] of Object.entries({ x: 20, y: 35, width: 10, height: 5 }))
    expect(rgb?.where?.[key as 'x']).toBeCloseTo(mm, 1);
});

test('houses differ: what one sends back the other takes', async () => {
  const bytes = await planted(
    '1 0 0 setrgbcolor 50 50 40 40 rectfill 0.9 0.8 0.7 0.5 setcmykcolor 200 50 40 40 rectfill',
  );
  const at = async (name: string) => {
    const house = SHIPPED_PRINTERS.find((h) => h.name === name);
    return house ? rulesOf(await replyTo(bytes, house)) : [];
  };
  expect(await at('Copperplate Yard')).toEqual(['rgb', 'standard']);
  expect(await at('Corner Counter')).toEqual(
    ['rgb', 'ink-heavy', 'type-near-trim'].filter((r) => r !== 'type-near-trim'),
  );
});

describe('facts agree with poppler', () => {
  const SOURCES: readonly (readonly [string, () => Promise<Uint8Array>])[] = [
    ['Ghostscript', () => planted(pixels(40))],
    ['Cairo', async () => rewritten('pdftocairo', ['-pdf'], await planted(pixels(40)))],
    ['MuPDF', async () => rewritten('mutool', ['clean', '-gggz'], await planted(pixels(40)))],
    ['qpdf', async () => rewritten('qpdf', ['--object-streams=generate', '--linearize'], await planted(pixels(40)))],
    ['ReportLab', () => drawnBy(REPORTLAB)],
    ['Cairo, asked by Python', () => drawnBy(CAIRO)],
    ['our own flyer', async () => (({ job, assets }) => pdfOf(job, assets))(await demoPiece('meteor-night', 0.3))],
    ['our own card', async () => (({ job, assets }) => pdfOf(job, assets))(await demoPiece('business-card', 0.3))],
  ];

  test.each(SOURCES)('%s: boxes, fonts and pictures', async (_, make) => {
    const bytes = await make();
    const file = await readFile(bytes);
    await inFolder((folder) => {
      const path = join(folder, 'f.pdf');
      writeFileSync(path, bytes);
      const boxes = pageBoxes(path);
      expect(file.pages).toHaveLength(boxes.length);
      for (const [i, { trim = file.pages[i]?.media }] of file.pages.entries()) {
        // What says no trim is trimmed where it ends (ISO 32000-1, 14.11.2).
        const [x0 = 0, y0 = 0, x1 = 0, y1 = 0] = boxes[i]?.TrimBox ?? [];
        expect(trim?.x).toBeCloseTo(x0, 1);
        expect(trim?.y).toBeCloseTo(y0, 1);
        expect(trim?.width).toBeCloseTo(x1 - x0, 1);
        expect(trim?.height).toBeCloseTo(y1 - y0, 1);
      }
      const fonts = run('pdffonts', [path]).trim().split('\n').slice(2);
      expect(file.fonts.map((f) => f.name).sort()).toEqual(fonts.map((f) => f.split(/\s+/)[0] ?? '').sort());
      // The column “emb” stands fifth from the end.
      const embedded = fonts.filter((line) => line.trim().split(/\s+/).at(-5) === 'yes');
      expect(file.fonts.filter((f) => f.isEmbedded)).toHaveLength(embedded.length);
      // pdfimages lists each picture as it is drawn: page, size, and ppi both ways.
      const images = run('pdfimages', ['-list', path])
        .trim()
        .split('\n')
        .slice(2)
        .map((line) => line.trim().split(/\s+/))
        .filter((columns) => columns[2] === 'image');
      const ours = file.painted.filter((p) => p.kind === 'picture');
      // Those that are only masks of something (grey, and within a mask) lay down nothing.
      const isOurs = (c: readonly string[]) => ours.some((p) => p.page === Number(c[0]) && p.width === Number(c[3]));
      for (const columns of images) expect(isOurs(columns) || columns[5] === 'gray').toBe(true);
      expect(ours.length > 0 || images.length === 0).toBe(true);
      for (const picture of ours) {
        const same = images.filter((c) => Number(c[0]) === picture.page && Number(c[3]) === picture.width);
        const theirs = same.map((c) => Math.min(Number(c[12]), Number(c[13])));
        expect(theirs.some((ppi) => Math.abs(ppi - picture.ppi) <= 1)).toBe(true);
      }
    });
  });
});

test.each(['business-card', 'meteor-night', 'visitor-folder', 'solstice-card', 'member-card'])(
  'our own %s is not sent back by its house',
  async (name) => {
    const { job, assets } = await demoPiece(name);
    const reply = await replyTo(await pdfOf(job, assets), job.house);
    expect(reply.remarks.filter((r) => r.weight === 'fault')).toEqual([]);
  },
);

test.each([
  ['no PDF', new TextEncoder().encode('not a pdf at all')],
  ['nothing', new Uint8Array()],
  ['a head alone', new TextEncoder().encode('%PDF-1.7\n')],
])('%s is answered in words', async (_, bytes) => {
  await expect(replyTo(bytes, HOUSE)).rejects.toThrow(NotReadable);
});

test('a file that is protected is answered in words', async () => {
  const bytes = await sound();
  await inFolder(async (folder) => {
    const [path, out] = [join(folder, 'f.pdf'), join(folder, 'o.pdf')];
    writeFileSync(path, bytes);
    run('qpdf', ['--encrypt', 'secret', 'owner', '256', '--', path, out]);
    await expect(replyTo(new Uint8Array(readFileSync(out)), HOUSE)).rejects.toThrow(/protected/);
  });
});

describe('a house that wants PDF/X-4 reads it from the bytes', () => {
  const strict: House = { ...HOUSE, standard: 'PDF/X-4' };
  let ours: Uint8Array;
  beforeAll(async () => {
    const { job, assets } = await demoPiece('business-card', 0.3);
    ours = await pdfOf(job, assets);
  });
  const said = async (bytes: Uint8Array) =>
    (await replyTo(bytes, strict)).remarks.filter(({ rule }) => rule === 'standard').map(({ found }) => found);
  const without = (change: (document: PDFDocument) => void) => changed(ours, change);
  const info = ({ context }: PDFDocument) => context.lookup(context.trailerInfo.Info) as PDFDict;

  test('our own files are what it wants', async () => {
    expect(await said(ours)).toEqual([]);
  });

  test.each<[string, string, (document: PDFDocument) => void]>([
    [
      'its claim',
      'It does not say that it follows a standard.',
      ({ catalog }) => catalog.delete(PDFName.of('Metadata')),
    ],
    [
      'another standard',
      'It says that it follows PDF/X-3:2003.',
      (document) => {
        document.catalog.delete(PDFName.of('Metadata'));
        info(document).set(PDFName.of('GTS_PDFXVersion'), PDFString.of('PDF/X-3:2003'));
        info(document).set(PDFName.of('Trapped'), PDFName.of('False'));
      },
    ],
    [
      'its profile',
      'Its output intent brings no profile and names no register.',
      ({ catalog }) => {
        const intent = catalog.lookup(PDFName.of('OutputIntents'), PDFArray).lookup(0, PDFDict);
        for (const key of ['DestOutputProfile', 'RegistryName']) intent.delete(PDFName.of(key));
      },
    ],
    [
      'a page that is not cut',
      'Not every page says where it is cut.',
      (document) => document.getPages()[1]?.node.delete(PDFName.of('TrimBox')),
    ],
    [
      'a file within it',
      'Other files lie in it.',
      ({ catalog, context }) => catalog.set(PDFName.of('Names'), context.obj({ EmbeddedFiles: { Names: [] } })),
    ],
  ])('%s', async (_, words, change) => {
    expect(await said(await without(change))).toContain(words);
  });

  test('a newer version, and no identifier', async () => {
    const newer = Buffer.from(ours)
      .toString('latin1')
      .replace('%PDF-1.6', '%PDF-1.7')
      .replace(/\/ID \[[^\]]*\]/, '');
    const found = await said(Uint8Array.from(Buffer.from(newer, 'latin1')));
    expect(found).toContain('It is written as PDF 1.7; PDF 1.6 is the newest that is allowed.');
  });

  test('a file that Ghostscript makes without a word of a standard', async () => {
    expect(await said(await sound())).toEqual(
      expect.arrayContaining(['It does not say that it follows a standard.', 'It does not say whether it is trapped.']),
    );
  });
});
