/** Files that Ghostscript makes, and faults that are planted in them one by one. */
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { PDFDocument, PDFName, PDFString } from '@cantoo/pdf-lib';
import { inFolder, run } from './programs';

export const MM = 72 / 25.4;
export const [BLEED, WIDTH, HEIGHT] = [3 * MM, 148 * MM, 210 * MM];

/** A page in PostScript: A5 with 3 mm of bleed, its boxes said, and what is painted on it. */
export const page = (content: string, { trim = true, bleed = BLEED, width = WIDTH } = {}): string => {
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
export const SOUND = [
  '0.1 0.05 0.2 0 setcmykcolor 0 0 1000 1000 rectfill',
  '0 0 0 1 setcmykcolor /Helvetica 12 selectfont 100 300 moveto (Meteor night) show',
  '0.5 setlinewidth 100 280 moveto 300 280 lineto stroke',
].join('\n');

interface Made {
  readonly embed?: boolean;
  readonly version?: string;
}

export const ghostscript = (postscript: string, { embed = true, version = '1.6' }: Made = {}): Promise<Uint8Array> =>
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
export async function changed(bytes: Uint8Array, change: (document: PDFDocument) => void): Promise<Uint8Array> {
  const document = await PDFDocument.load(bytes, { updateMetadata: false });
  change(document);
  return document.save({ useObjectStreams: false });
}

export const withIntent = (bytes: Uint8Array): Promise<Uint8Array> =>
  changed(bytes, ({ catalog, context }) =>
    catalog.set(
      PDFName.of('OutputIntents'),
      context.obj([{ Type: 'OutputIntent', S: 'GTS_PDFX', OutputConditionIdentifier: PDFString.of('FOGRA39') }]),
    ),
  );

export const sound = async (): Promise<Uint8Array> => withIntent(await ghostscript(page(SOUND)));

export const pixels = (wide: number) =>
  `gsave 100 100 translate 200 200 scale ${wide} ${wide} 8 [${wide} 0 0 ${-wide} 0 ${wide}] ` +
  `{ currentfile ${wide * 4} string readhexstring pop } false 4 colorimage\n` +
  `${'80402000'.repeat(wide * wide)}\ngrestore`;

const words = (setup: string, size = 12) => `${setup} /Helvetica ${size} selectfont 100 200 moveto (Names) show`;

const separation = (ink: string, tint: number, box = '60 60 100 100') =>
  `[/Separation (${ink}) /DeviceCMYK {dup 0 exch 0}] setcolorspace ${tint} setcolor ${box} rectfill`;

/** Adds content to the first page, with what it uses. */
function drawn(
  document: PDFDocument,
  content: string,
  fonts: Readonly<Record<string, Readonly<Record<string, unknown>>>>,
): void {
  const { context } = document;
  const [first] = document.getPages();
  if (!first) return;
  const { node } = first;
  const before = node.get(PDFName.of('Contents'));
  const more = context.register(context.stream(`q ${content} Q`));
  node.normalize();
  node.set(PDFName.of('Contents'), context.obj([...(before ? [before] : []), more]));
  for (const [key, font] of Object.entries(fonts))
    node.setFontDictionary(PDFName.of(key), context.register(context.obj(font as Record<string, string>)));
}

/** A Type 3 font (ISO 32000-1, 9.6.5) whose only glyph is red, by RGB. */
function selfDrawn(document: PDFDocument): void {
  const { context } = document;
  const glyph = context.register(context.stream('1000 0 d0 1 0 0 rg 0 0 800 800 re f'));
  drawn(document, 'BT /Own 20 Tf 100 200 Td (a) Tj ET', {
    Own: {
      Type: 'Font',
      Subtype: 'Type3',
      FontBBox: [0, 0, 1000, 1000],
      FontMatrix: [0.001, 0, 0, 0.001, 0, 0],
      CharProcs: { a: glyph },
      Encoding: { Type: 'Encoding', Differences: [97, 'a'] },
      FirstChar: 97,
      LastChar: 97,
      Widths: [1000],
      Resources: {},
    },
  });
}

/** A word of two characters, the second of which the font does not have (glyph 0). */
function missingGlyph(document: PDFDocument): void {
  const { context } = document;
  const program = context.register(context.flateStream(readFileSync('public/fonts/barlow-latin-400-normal.ttf')));
  const descriptor = context.register(
    context.obj({
      Type: 'FontDescriptor',
      FontName: 'Barlow',
      Flags: 4,
      FontBBox: [0, -200, 1000, 900],
      ItalicAngle: 0,
      Ascent: 900,
      Descent: -200,
      CapHeight: 700,
      StemV: 80,
      FontFile2: program,
    }),
  );
  const inner = context.register(
    context.obj({
      Type: 'Font',
      Subtype: 'CIDFontType2',
      BaseFont: 'Barlow',
      CIDSystemInfo: { Registry: PDFString.of('Adobe'), Ordering: PDFString.of('Identity'), Supplement: 0 },
      FontDescriptor: descriptor,
      CIDToGIDMap: 'Identity',
    }),
  );
  drawn(document, '0 0 0 1 k BT /Own 12 Tf 100 200 Td <00240000> Tj ET', {
    Own: { Type: 'Font', Subtype: 'Type0', BaseFont: 'Barlow', Encoding: 'Identity-H', DescendantFonts: [inner] },
  });
}

/** A fault, the rule that has to find it, and the file it is planted in. */
export const PLANTED: readonly (readonly [rule: string, what: string, make: () => Promise<Uint8Array>])[] = [
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
  [
    'rgb',
    'RGB in a tile',
    () =>
      planted(
        '<< /PatternType 1 /PaintType 1 /TilingType 1 /BBox [0 0 20 20] /XStep 20 /YStep 20 ' +
          '/PaintProc { pop 1 0 0 setrgbcolor 2 2 9 9 rectfill } >> matrix makepattern setpattern ' +
          '60 60 100 100 rectfill',
      ),
  ],
  [
    'rgb',
    'RGB in a gradient',
    () =>
      planted(
        'gsave 60 60 100 100 rectclip << /ShadingType 2 /ColorSpace /DeviceRGB /Coords [60 60 160 60] ' +
          '/Function << /FunctionType 2 /Domain [0 1] /C0 [1 0 0] /C1 [0 0 1] /N 1 >> >> shfill grestore',
      ),
  ],
  ['rgb', 'RGB in a font that draws itself', async () => changed(await sound(), selfDrawn)],
  ['glyphs-missing', 'a character that the font does not have', async () => changed(await sound(), missingGlyph)],
  ['marks-in-bleed', 'a mark that begins in the bleed', () => planted(separation('All', 1, '0 200 4 1'))],
  ['line-knocks-out', 'a line for the die that knocks out', () => planted(separation('Cut', 1))],
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

/** What a house only mentions, planted. */
export const MENTIONED: readonly (readonly [rule: string, what: string, make: () => Promise<Uint8Array>])[] = [
  ['picture-fine', '400 pixels over 18 mm', () => planted(pixels(400).replace('200 200 scale', '50 50 scale'))],
  [
    'colour-overprints',
    'cyan that overprints',
    () => planted('true setoverprint 1 0 0 0 setcmykcolor 50 50 40 40 rectfill'),
  ],
  [
    'beside-page',
    'a picture beside the page',
    async () =>
      withIntent(
        await ghostscript(
          page(`${SOUND}\n${pixels(40).replace('100 100 translate 200 200', '0 0 translate 5 5')}`, { bleed: 30 * MM }),
        ),
      ),
  ],
  [
    'text-invisible',
    'words under a scan',
    async () => changed(await sound(), (document) => drawn(document, 'BT /Own 12 Tf 3 Tr 100 200 Td (a) Tj ET', OCR)),
  ],
];

/** A font that every reader has. */
const OCR = { Own: { Type: 'Font', Subtype: 'Type1', BaseFont: 'Helvetica' } };

/** A sound page with one thing more on it. */
export async function planted(content: string): Promise<Uint8Array> {
  return withIntent(await ghostscript(page(`${SOUND}\n${content}`)));
}

/** What follows from a fault itself, and is said beside it. */
export const FOLLOWS: Readonly<Record<string, readonly string[]>> = {
  'trim-missing': ['bleed-small', 'stops-at-trim'],
  'bleed-small': ['stops-at-trim'],
  'black-type': ['type-small'],
  'boxes-nested': ['bleed-small'],
  unreadable: ['blank-page'],
};
