/**
 * The print house at the other end: files that Ghostscript makes, one fault planted in each, sound ones that must
 * not be refused, and facts beside those that poppler’s programs read of the same files.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { PDFDocument, PDFName, PDFString } from '@cantoo/pdf-lib';
import { demoPiece } from '../testing/demo';
import { pdfOf } from '../testing/exports';
import { inFolder, pageBoxes, run } from '../testing/programs';
import { House, SHIPPED_PRINTERS } from '../core/shop';
import { INTAKE_RULES, NotReadable, readFile, replyTo, type Reply } from './index';

const MM = 72 / 25.4;
const [BLEED, WIDTH, HEIGHT] = [3 * MM, 148 * MM, 210 * MM];

/** A page in PostScript: A5 with 3 mm of bleed, its boxes said, and what is painted on it. */
const page = (content: string, { trim = true, bleed = BLEED, width = WIDTH } = {}): string => {
  const box = [bleed, bleed, bleed + width, bleed + HEIGHT].map((n) => n.toFixed(4)).join(' ');
  const media = [width + 2 * bleed, HEIGHT + 2 * bleed].map((n) => n.toFixed(4)).join(' ');
  return [
    `<< /PageSize [${media}] >> setpagedevice`,
    ...(trim ? [`[ /TrimBox [${box}] /PAGE pdfmark`] : []),
    content,
    'showpage',
  ].join('\n');
};

/** Ground that bleeds, words in black, a line. */
const SOUND = [
  '0.1 0.05 0.2 0 setcmykcolor 0 0 1000 1000 rectfill',
  '0 0 0 1 setcmykcolor /Helvetica 12 selectfont 100 300 moveto (Meteor night) show',
  '0.5 setlinewidth 100 280 moveto 300 280 lineto stroke',
].join('\n');

interface Made {
  readonly embed?: boolean;
  readonly version?: string;
}

const ghostscript = (postscript: string, { embed = true, version = '1.6' }: Made = {}): Promise<Uint8Array> =>
  inFolder((folder) => {
    const [source, pdf] = [join(folder, 'f.ps'), join(folder, 'f.pdf')];
    writeFileSync(source, postscript);
    const fonts = ['-c', `<< /NeverEmbed [${embed ? '' : '/Helvetica'}] >> setdistillerparams`];
    run('gs', [
      '-q',
      '-dNOPAUSE',
      '-dBATCH',
      '-sDEVICE=pdfwrite',
      `-dCompatibilityLevel=${version}`,
      '-dColorConversionStrategy=/LeaveColorUnchanged',
      '-dPreserveOverprintSettings=true',
      '-dAutoRotatePages=/None',
      '-dDownsampleColorImages=false',
      `-sOutputFile=${pdf}`,
      ...fonts,
      '-f',
      source,
    ]);
    return new Uint8Array(readFileSync(pdf));
  });

/** Changes what Ghostscript does not write. */
async function changed(bytes: Uint8Array, change: (document: PDFDocument) => void): Promise<Uint8Array> {
  const document = await PDFDocument.load(bytes, { updateMetadata: false });
  change(document);
  return document.save({ useObjectStreams: false });
}

const withIntent = (bytes: Uint8Array): Promise<Uint8Array> =>
  changed(bytes, ({ catalog, context }) =>
    catalog.set(
      PDFName.of('OutputIntents'),
      context.obj([{ Type: 'OutputIntent', S: 'GTS_PDFX', OutputConditionIdentifier: PDFString.of('FOGRA39') }]),
    ),
  );

const sound = async (): Promise<Uint8Array> => withIntent(await ghostscript(page(SOUND)));

const HOUSE = House.parse({ name: 'Yard', rgb: 'refuse', inkLimit: 300, minTypePt: 6, minReversedTypePt: 7 });
const rulesOf = ({ remarks }: Reply) => [...new Set(remarks.filter((r) => r.weight !== 'note').map((r) => r.rule))];

const pixels = (wide: number) =>
  `gsave 100 100 translate 200 200 scale ${wide} ${wide} 8 [${wide} 0 0 ${-wide} 0 ${wide}] ` +
  `{ currentfile ${wide * 4} string readhexstring pop } false 4 colorimage\n` +
  `${'80402000'.repeat(wide * wide)}\ngrestore`;

const words = (setup: string, size = 12) => `${setup} /Helvetica ${size} selectfont 100 200 moveto (Names) show`;

const separation = (ink: string, tint: number) =>
  `[/Separation (${ink}) /DeviceCMYK {dup 0 exch 0}] setcolorspace ${tint} setcolor 60 60 100 100 rectfill`;

/** A fault, the rule that has to find it, and the file it is planted in. */
const PLANTED: readonly (readonly [rule: string, what: string, make: () => Promise<Uint8Array>])[] = [
  ['trim-missing', 'no trim box', async () => withIntent(await ghostscript(page(SOUND, { trim: false, bleed: 0 })))],
  ['bleed-small', '1 mm of bleed', async () => withIntent(await ghostscript(page(SOUND, { bleed: MM })))],
  [
    'stops-at-trim',
    'a ground that ends at the trim',
    async () =>
      withIntent(await ghostscript(page(SOUND.replace('0 0 1000 1000', `${BLEED} ${BLEED} ${WIDTH} ${HEIGHT}`)))),
  ],
  ['fonts-missing', 'a font left out', async () => withIntent(await ghostscript(page(SOUND), { embed: false }))],
  ['rgb', 'an area in RGB', () => planted('1 0 0 setrgbcolor 50 50 40 40 rectfill')],
  ['picture-coarse', '8 pixels over 70 mm', () => planted(pixels(8))],
  ['line-thin', 'a line of 0.1 pt', () => planted('0.1 setlinewidth 50 50 moveto 200 50 lineto stroke')],
  ['type-small', 'type of 4 pt', () => planted(words('0 0 0 1 setcmykcolor', 4))],
  ['type-small', 'type of 6.5 pt in three inks', () => planted(words('1 1 0.5 0 setcmykcolor', 6.5))],
  ['black-type', 'black type in four inks', () => planted(words('0.6 0.5 0.5 1 setcmykcolor'))],
  ['ink-heavy', '360 % of ink', () => planted('0.9 0.9 0.9 0.9 setcmykcolor 50 50 40 40 rectfill')],
  ['registration', 'an area in All', () => planted(separation('All', 1))],
  ['spots', 'an ink in two spellings', () => planted(`${separation('Moon Glow', 1)} ${separation('moon glow', 0.5)}`)],
  [
    'white-overprints',
    'white that overprints',
    () => planted('true setoverprint 0 0 0 0 setcmykcolor 50 50 40 40 rectfill'),
  ],
  [
    'type-near-trim',
    'words 1 mm from the trim',
    () => planted(`0 0 0 1 setcmykcolor /Helvetica 12 selectfont ${BLEED + MM} 400 moveto (Edge) show`),
  ],
  [
    'annotations',
    'a remark on the page',
    () => planted('[ /Rect [100 100 160 160] /Subtype /Text /Contents (Look) /ANN pdfmark'),
  ],
  ['blank-page', 'a second page with nothing on it', async () => withIntent(await ghostscript(page(SOUND) + page('')))],
  [
    'page-sizes',
    'a second page of another size',
    async () => withIntent(await ghostscript(page(SOUND) + page(SOUND, { width: 140 * MM }))),
  ],
  ['intent', 'no output intent', () => ghostscript(page(SOUND))],
  [
    'scripts',
    'a script',
    async () =>
      changed(await sound(), ({ catalog, context }) =>
        catalog.set(PDFName.of('OpenAction'), context.obj({ S: 'JavaScript', JS: PDFString.of('app.beep(0)') })),
      ),
  ],
  [
    'layers-off',
    'a layer switched off',
    async () =>
      changed(await sound(), ({ catalog, context }) => {
        const layer = context.register(context.obj({ Type: 'OCG', Name: PDFString.of('Draft') }));
        catalog.set(PDFName.of('OCProperties'), context.obj({ OCGs: [layer], D: { OFF: [layer] } }));
      }),
  ],
  [
    'boxes-nested',
    'a trim outside its bleed',
    async () =>
      changed(await sound(), (document) =>
        document.getPages()[0]?.node.set(PDFName.of('BleedBox'), document.context.obj([50, 50, 300, 300])),
      ),
  ],
  [
    'unreadable',
    'content that breaks off',
    async () =>
      changed(await sound(), (document) => {
        const { context } = document;
        const broken = context.register(context.stream('0 0 0 1 k (never ends'));
        document.getPages()[0]?.node.set(PDFName.of('Contents'), broken);
      }),
  ],
];

/** A sound page with one thing more on it. */
async function planted(content: string): Promise<Uint8Array> {
  return withIntent(await ghostscript(page(`${SOUND}\n${content}`)));
}

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
    const follows: Readonly<Record<string, readonly string[]>> = {
      'trim-missing': ['bleed-small', 'stops-at-trim'],
      'bleed-small': ['stops-at-trim'],
      'black-type': ['type-small'],
      'boxes-nested': ['bleed-small'],
      unreadable: ['blank-page'],
    };
    expect(found.filter((other) => other !== rule && !(follows[rule] ?? []).includes(other))).toEqual([]);
  });

  test('every rule but those of an order has a fault planted for it', () => {
    const covered = new Set(PLANTED.map(([rule]) => rule));
    const others = INTAKE_RULES.map(({ id }) => id).filter((id) => !covered.has(id));
    expect(others).toEqual(['page-count', 'transparency']);
  });

  test('what was ordered is asked for', async () => {
    const bytes = await sound();
    const of = async (order: object) => rulesOf(await replyTo(bytes, HOUSE, order));
    expect(await of({ pages: 1, size: { width: 148, height: 210 } })).toEqual([]);
    expect(await of({ pages: 2 })).toEqual(['page-count']);
    expect(await of({ size: { width: 210, height: 297 } })).toEqual(['page-sizes']);
  });
});

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
  expect(await at('Copperplate Yard')).toEqual(['rgb']);
  expect(await at('Corner Counter')).toEqual(
    ['rgb', 'ink-heavy', 'type-near-trim'].filter((r) => r !== 'type-near-trim'),
  );
});

describe('facts agree with poppler', () => {
  const SOURCES: readonly (readonly [string, () => Promise<Uint8Array>])[] = [
    ['Ghostscript', () => planted(pixels(40))],
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
      for (const [i, { trim }] of file.pages.entries()) {
        const [x0 = 0, y0 = 0, x1 = 0, y1 = 0] = boxes[i]?.TrimBox ?? [];
        expect(trim?.x).toBeCloseTo(x0, 1);
        expect(trim?.y).toBeCloseTo(y0, 1);
        expect(trim?.width).toBeCloseTo(x1 - x0, 1);
        expect(trim?.height).toBeCloseTo(y1 - y0, 1);
      }
      const fonts = run('pdffonts', [path]).trim().split('\n').slice(2);
      expect(file.fonts.map((f) => f.name).sort()).toEqual(fonts.map((f) => f.split(/\s+/)[0] ?? '').sort());
      expect(file.fonts.every((f) => f.isEmbedded)).toBe(true);
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
