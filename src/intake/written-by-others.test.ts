/**
 * The same pages as several programs write them (Ghostscript, qpdf in five ways, MuPDF, pdf-lib in two; Cairo and Skia
 * by way of poppler and of Chromium), with each fault planted in turn: every one found, no sound file refused. Both as
 * a table.
 */
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { PDFDict, PDFDocument, PDFName } from '@cantoo/pdf-lib';
import { House } from '../core/shop';
import { IS_ALL } from '../testing/all';
import { FOLLOWS, PLANTED, sound } from '../testing/planted';
import { inFolder, run } from '../testing/programs';
import { replyTo, type Reply } from './index';

const HOUSE = House.parse({ name: 'Yard', rgb: 'refuse', inkLimit: 300, minTypePt: 6, minReversedTypePt: 7 });
const rulesOf = ({ remarks }: Reply) => [...new Set(remarks.filter((r) => r.weight !== 'note').map((r) => r.rule))];

type Rewrite = (bytes: Uint8Array) => Promise<Uint8Array>;

/** A program of Debian’s that reads one PDF and writes another. */
const through =
  (program: string, args: (from: string, to: string) => readonly string[]): Rewrite =>
  (bytes) =>
    inFolder((folder) => {
      const [from, to] = [join(folder, 'f.pdf'), join(folder, 'o.pdf')];
      writeFileSync(from, bytes);
      run(program, args(from, to));
      return new Uint8Array(readFileSync(to));
    });

const qpdf = (...how: readonly string[]): Rewrite =>
  through('qpdf', (from, to) => ['--warning-exit-0', ...how, from, to]);

/** The content of each page within a form of its own, as programs write that place whole pages. */
const wrapped: Rewrite = async (bytes) => {
  const document = await PDFDocument.load(bytes, { updateMetadata: false });
  const { context } = document;
  for (const page of document.getPages()) {
    const contents = page.node.Contents();
    const resources = page.node.Resources() ?? PDFDict.withContext(context);
    if (!contents) continue;
    const { x, y, width, height } = page.getMediaBox();
    const ref = page.node.get(PDFName.of('Contents'));
    const inner = ref && context.lookup(ref);
    if (!inner || !('dict' in inner)) continue;
    const { dict } = inner as unknown as { dict: PDFDict };
    dict.set(PDFName.of('Type'), PDFName.of('XObject'));
    dict.set(PDFName.of('Subtype'), PDFName.of('Form'));
    dict.set(PDFName.of('BBox'), context.obj([x, y, x + width, y + height]));
    dict.set(PDFName.of('Resources'), resources);
    page.node.set(PDFName.of('Contents'), context.register(context.stream('q /Whole Do Q')));
    page.node.set(PDFName.of('Resources'), context.obj({ XObject: { Whole: ref } }));
  }
  return document.save({ useObjectStreams: false });
};

/** Those marked stand for the others in a common run. */
const WRITERS: readonly (readonly [string, Rewrite, 'always'?])[] = [
  ['Ghostscript, as it is', async (bytes) => Promise.resolve(bytes), 'always'],
  ['qpdf, objects in streams', qpdf('--object-streams=generate')],
  ['qpdf, readable', qpdf('--qdf', '--object-streams=disable')],
  ['MuPDF, cleaned', through('mutool', (from, to) => ['clean', '-gggz', from, to]), 'always'],
  [
    'pdf-lib',
    async (bytes) => (await PDFDocument.load(bytes, { updateMetadata: false })).save({ useObjectStreams: true }),
  ],
  ['pdf-lib, pages as forms', wrapped, 'always'],
];

test('every planted fault is found in whatever file, and nothing in sound ones', async () => {
  const table: { writer: string; files: number; found: string }[] = [];
  const missed: string[] = [];
  let alarms = 0;
  const clean = await sound();
  const faults = await Promise.all(PLANTED.map(async ([rule, what, make]) => ({ rule, what, bytes: await make() })));
  for (const [writer, rewrite] of WRITERS.filter(([, , always]) => IS_ALL || always)) {
    const said = rulesOf(await replyTo(await rewrite(clean), HOUSE));
    alarms += said.length;
    let found = 0;
    for (const { rule, what, bytes } of faults) {
      const rules = rulesOf(await replyTo(await rewrite(bytes), HOUSE));
      if (rules.includes(rule)) found += 1;
      else missed.push(`${writer}: ${what}`);
      const others = rules.filter((other) => other !== rule && !(FOLLOWS[rule] ?? []).includes(other));
      alarms += others.length;
      if (others.length > 0) missed.push(`${writer}: ${what}: ${others.join(', ')} said without a reason`);
    }
    table.push({ writer, files: faults.length + 1, found: `${found} of ${faults.length}` });
  }
  process.stdout.write(
    `planted faults, by who wrote the file (${table.length * (faults.length + 1)} files, ${alarms} false alarms)\n` +
      table.map(({ writer, files, found }) => `  ${writer.padEnd(28)} ${files} files, found ${found}\n`).join(''),
  );
  expect(missed).toEqual([]);
  expect(alarms).toBe(0);
}, 600_000);

describe('programs that know no press: only what is so is said', () => {
  test('Cairo, by way of poppler: all in RGB, no trim', async () => {
    const bytes = await through('pdftocairo', (from, to) => ['-pdf', from, to])(await sound());
    // The box that is cut to is not carried over, the page is not in inks, and nobody says for which press.
    expect(rulesOf(await replyTo(bytes, HOUSE)).sort()).toEqual(
      ['bleed-small', 'intent', 'rgb', 'stops-at-trim', 'trim-missing'].sort(),
    );
  });

  test('Ghostscript in five versions of PDF', async () => {
    for (const version of ['1.3', '1.4', '1.5', '1.6', '1.7']) {
      const bytes = await through('gs', (from, to) => [
        '-q',
        '-dNOPAUSE',
        '-dBATCH',
        '-sDEVICE=pdfwrite',
        `-dCompatibilityLevel=${version}`,
        '-dColorConversionStrategy=/LeaveColorUnchanged',
        '-dAutoRotatePages=/None',
        `-sOutputFile=${to}`,
        from,
      ])(await sound());
      // What it makes anew has no output intent.
      expect([version, rulesOf(await replyTo(bytes, HOUSE))]).toEqual([version, ['intent']]);
    }
  });

  test('Skia, by way of Chromium: RGB without a profile, no trim, no bleed', async () => {
    const bytes = await inFolder((folder) => {
      const html =
        '<style>@page{size:148mm 210mm;margin:0}body{margin:0;background:#e4efd0;font:12pt sans-serif}' +
        'p{margin:40mm 30mm}</style><p>Meteor night, on the hill above the town.</p>';
      writeFileSync(join(folder, 'f.html'), html);
      const [page, pdf] = [join(folder, 'f.html'), join(folder, 'f.pdf')];
      execFileSync(
        'chromium',
        [
          '--headless',
          '--no-sandbox',
          '--disable-gpu',
          '--no-pdf-header-footer',
          `--user-data-dir=${join(folder, 'profile')}`,
          `--print-to-pdf=${pdf}`,
          `file://${page}`,
        ],
        { stdio: 'ignore' },
      );
      return new Uint8Array(readFileSync(pdf));
    });
    const { remarks, size } = await replyTo(bytes, HOUSE);
    expect(Math.round(size.width)).toBe(148);
    const said = [...new Set(remarks.filter((r) => r.weight === 'fault').map((r) => r.rule))].sort();
    expect(said).toEqual(['bleed-small', 'rgb', 'stops-at-trim'].sort());
  });
});
