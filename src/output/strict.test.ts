import type { PDFContext } from '@cantoo/pdf-lib';
import {
  PDFArray,
  PDFDict,
  PDFDocument,
  PDFHexString,
  PDFName,
  PDFNumber,
  PDFRawStream,
  PDFRef,
  PDFStream,
  PDFString,
} from '@cantoo/pdf-lib';
import { deflateSync } from 'node:zlib';
import type { Finishing, Job } from '../core/job';
import { demoPiece } from '../testing/demo';
import { pdfOf } from '../testing/exports';
import { box, inMemory, makeJob, picture, shape, words } from '../testing/jobs';
import { kindsJob, pictureKinds } from '../testing/picture-kinds';
import { INKS, drawn, gradient, process, spot } from '../testing/plates';
import { strictFaults } from '../testing/strict';
import { unpacked } from '../testing/strict/reader';

const name = (text: string) => PDFName.of(text);

/**
 * A file with something of everything: type, spots and mixes, gradients, masks, groups, layers, pictures, overprint.
 */
async function everything(): Promise<Uint8Array> {
  const { sha, bytes, facts } = await drawn({ format: 'png', colour: 'rgb', veil: 'disc' });
  const finish: Record<string, Finishing[]> = {
    front: [
      { does: 'coat', id: 'gloss', coating: 'uv', of: { from: 'elements', elements: ['star'] }, spread: 1 },
      {
        does: 'line',
        id: 'cut',
        process: 'cut',
        course: { course: 'divide', way: 'level', against: { box: 'trim' }, into: 2 },
        past: 0,
      },
    ],
  };
  const front = [
    box('ground', [0, 0, 148, 210], { fill: process(10, 0, 20, 0) }),
    shape(
      'star',
      [20, 20, 40, 40],
      { form: 'star' },
      {
        fill: gradient('linear', [
          [0, spot(90)],
          [100, process(0, 60, 0, 0), 0.4],
        ]),
        opacity: 0.8,
        blend: 'multiply',
      },
    ),
    picture('moon', sha, [70, 20, 50, 40], {
      effects: [
        {
          effect: 'shadow',
          dx: 1,
          dy: 1,
          blur: 2,
          spread: 0,
          opacity: 0.6,
          blend: 'multiply',
          paint: process(0, 0, 0, 80),
        },
      ],
    }),
    box('over', [20, 70, 40, 20], { fill: spot(60, { m: 30, overprint: true }) }),
    words('w', 'Café x\u0301 x office fi, moon at nine', [20, 100, 100, 30], { sizePt: 16 }),
  ];
  const job: Job = makeJob(front, { inks: INKS, assets: { [sha]: facts } }, { finish });
  return pdfOf(job, inMemory(new Map([[sha, bytes]])));
}

/** Pieces of the demo that are made in a second. */
const SMALL = [
  'business-card',
  'member-card',
  'solstice-card',
  'observing-pad',
  'ruled-log',
  'meteor-tickets',
  'bookmark',
  'moon-sticker',
  'trail-map',
  'eyepiece-box',
  'eyepiece-labels',
  'meteor-night',
];

let made: Uint8Array;
beforeAll(async () => {
  made = await everything();
});

describe('press files are held to ISO 15930-7 by a reader of their bytes', () => {
  test('one with something of everything', async () => {
    expect(await strictFaults(made)).toEqual([]);
  });

  test('one with every kind of picture', async () => {
    const { job, files } = await kindsJob(await pictureKinds());
    expect(await strictFaults(await pdfOf(job, inMemory(files)))).toEqual([]);
  });

  test.each(SMALL)('%s of the demo', async (file) => {
    const { job, assets } = await demoPiece(file, 0.15);
    expect(await strictFaults(await pdfOf(job, assets))).toEqual([]);
  });
});

type Plant = (document: PDFDocument, context: PDFContext) => void;

const first = <T>(document: PDFDocument, is: (object: unknown) => object is T): T => {
  for (const [, object] of document.context.enumerateIndirectObjects()) if (is(object)) return object;
  throw new Error('There is no such object to be spoilt.');
};

const isDictWith =
  (key: string, value: string) =>
  (object: unknown): object is PDFDict =>
    object instanceof PDFDict && object.get(name(key)) === name(value);

const isStreamOf =
  (subtype: string) =>
  (object: unknown): object is PDFRawStream =>
    object instanceof PDFRawStream && object.dict.get(name('Subtype')) === name(subtype);

const isSpace =
  (kind: string) =>
  (object: unknown): object is PDFArray =>
    object instanceof PDFArray && object.get(0) === name(kind);

const isGroupForm = (object: unknown): object is PDFRawStream =>
  isStreamOf('Form')(object) && object.dict.has(name('Group'));
const isImage = (object: unknown): object is PDFRawStream =>
  isStreamOf('Image')(object) && object.dict.get(name('Filter')) === name('FlateDecode');

/** A stream that something refers to, with its bytes changed as text. */
function spoilStream(document: PDFDocument, holder: PDFDict, key: string, change: (text: string) => string): void {
  const ref = holder.get(name(key));
  const stream = holder.lookup(name(key));
  if (!(ref instanceof PDFRef) || !(stream instanceof PDFRawStream)) throw new Error('There is no such stream.');
  const before = Buffer.from(unpacked(stream)).toString('latin1');
  const after = change(before);
  if (after === before) throw new Error('Nothing was spoilt.');
  const plain = Buffer.from(after, 'latin1');
  const bytes = stream.dict.has(name('Filter')) ? deflateSync(plain) : plain;
  stream.dict.set(name('Length'), PDFNumber.of(bytes.length));
  document.context.assign(ref, PDFRawStream.of(stream.dict, bytes));
}

const spoilContent = (document: PDFDocument, change: (content: string) => string): void =>
  spoilStream(document, document.getPage(0).node, 'Contents', change);

const spoilXmp = (document: PDFDocument, change: (xml: string) => string): void =>
  spoilStream(document, document.catalog, 'Metadata', change);

const info = ({ context }: PDFDocument): PDFDict => context.lookup(context.trailerInfo.Info, PDFDict);
const page = (document: PDFDocument): PDFDict => document.getPage(0).node;
const intent = (document: PDFDocument): PDFDict =>
  document.catalog.lookup(name('OutputIntents'), PDFArray).lookup(0, PDFDict);
const layers = (document: PDFDocument): PDFDict => document.catalog.lookup(name('OCProperties'), PDFDict);

/** Faults, each planted alone into a sound file, and the point at which it has to be seen. */
const PLANTS: readonly (readonly [what: string, point: string, plant: Plant])[] = [
  [
    'no identifier',
    'identifier',
    (d, c) => {
      c.trailerInfo.ID = d.context.obj([PDFHexString.of('00')]);
    },
  ],
  ['an action when it is opened', 'catalog', (d, c) => d.catalog.set(name('OpenAction'), c.obj({ S: 'JavaScript' }))],
  ['a form to fill in', 'catalog', (d, c) => d.catalog.set(name('AcroForm'), c.obj({}))],
  ['an attached file', 'catalog', (d, c) => d.catalog.set(name('Names'), c.obj({ EmbeddedFiles: {} }))],
  [
    'no title',
    'information',
    (d) => {
      info(d).delete(name('Title'));
    },
  ],
  ['trapping left open', 'information', (d) => info(d).set(name('Trapped'), name('Unknown'))],
  ['another date', 'metadata', (d) => info(d).set(name('ModDate'), PDFString.of('D:20200101000000Z'))],
  ['another title in the XMP', 'metadata', (d) => spoilXmp(d, (x) => x.replace('Test job', 'Another job'))],
  ['XMP that is not well-formed', 'metadata', (d) => spoilXmp(d, (x) => x.replace('</dc:title>', ''))],
  ['another conformance', 'conformance', (d) => spoilXmp(d, (x) => x.replace('PDF/X-4', 'PDF/X-9'))],
  [
    'no output intent',
    'output intent',
    (d) => {
      d.catalog.delete(name('OutputIntents'));
    },
  ],
  [
    'an output intent without a profile',
    'output intent',
    (d) => {
      intent(d).delete(name('DestOutputProfile'));
    },
  ],
  [
    'a profile that is cut short',
    'output intent',
    (d) => spoilStream(d, intent(d), 'DestOutputProfile', (t) => t.slice(0, -100)),
  ],
  [
    'no trim box',
    'boxes',
    (d) => {
      page(d).delete(name('TrimBox'));
    },
  ],
  ['an art box too', 'boxes', (d, c) => page(d).set(name('ArtBox'), c.obj([0, 0, 10, 10]))],
  [
    'a trim that reaches out of the bleed',
    'boxes',
    (d, c) => page(d).set(name('BleedBox'), c.obj([100, 100, 200, 200])),
  ],
  ['an annotation', 'page', (d, c) => page(d).set(name('Annots'), c.obj([]))],
  ['a layer that is not listed', 'layers', (d, c) => layers(d).set(name('OCGs'), c.obj([]))],
  [
    'layers that switch by themselves',
    'layers',
    (d, c) => layers(d).lookup(name('D'), PDFDict).set(name('AS'), c.obj([])),
  ],
  ['untagged RGB in the content', 'colour', (d) => spoilContent(d, (t) => `1 0 0 rg\n${t}`)],
  [
    'untagged RGB in a form',
    'colour',
    (d) => {
      const f = first(d, isGroupForm);
      const dict = d.context.obj({ F: d.context.getObjectRef(f) });
      spoilStream(d, dict, 'F', (t) => `1 0 0 rg\n${t}`);
    },
  ],
  ['an untagged RGB picture', 'colour', (d) => first(d, isImage).dict.set(name('ColorSpace'), name('DeviceRGB'))],
  [
    'a group that mixes in RGB',
    'colour',
    (d) => first(d, isGroupForm).dict.lookup(name('Group'), PDFDict).set(name('CS'), name('DeviceRGB')),
  ],
  ['a spot ink shown in RGB', 'colour', (d) => first(d, isSpace('Separation')).set(2, name('DeviceRGB'))],
  [
    'a name that is not UTF-8',
    'names',
    (d) => first(d, isSpace('DeviceN')).lookup(1, PDFArray).set(0, name('\u00ff\u00fe')),
  ],
  [
    'one ink shown in two ways',
    'names',
    (d) =>
      first(d, isSpace('DeviceN'))
        .lookup(4, PDFDict)
        .lookup(name('Colorants'), PDFDict)
        .lookup(name('Silver'), PDFArray)
        .lookup(3, PDFDict)
        .set(name('N'), PDFNumber.of(2)),
  ],
  [
    'more components than the space has',
    'colour',
    (d) => spoilContent(d, (t) => t.replace(/(\/CsSpot\d+ cs [\d. ]+) scn/, '$1 0.5 scn')),
  ],
  ['a transfer function', 'state', (d) => first(d, isDictWith('Type', 'ExtGState')).set(name('TR'), name('Identity'))],
  [
    'a blend mode that is none',
    'state',
    (d) => first(d, isDictWith('Type', 'ExtGState')).set(name('BM'), name('Sparkle')),
  ],
  ['opacity beyond one', 'state', (d) => first(d, isDictWith('Type', 'ExtGState')).set(name('ca'), PDFNumber.of(1.5))],
  [
    'a soft mask whose form is no group',
    'masks',
    (d, c) => {
      const mask = first(
        d,
        (o): o is PDFDict => o instanceof PDFDict && o.has(name('SMask')) && o.get(name('Type')) === name('ExtGState'),
      );
      c.lookup(mask.lookup(name('SMask'), PDFDict).get(name('G')), PDFStream).dict.delete(name('Group'));
    },
  ],
  [
    'a mask of a picture in colour',
    'masks',
    (d) =>
      first(d, (o): o is PDFRawStream => isImage(o) && o.dict.has(name('SMask')))
        .dict.lookup(name('SMask'), PDFStream)
        .dict.set(name('ColorSpace'), name('DeviceCMYK')),
  ],
  [
    'a picture with fewer pixels than it says',
    'images',
    (d) => first(d, isImage).dict.set(name('Width'), PDFNumber.of(9999)),
  ],
  ['alternates of a picture', 'images', (d, c) => first(d, isImage).dict.set(name('Alternates'), c.obj([]))],
  ['LZW', 'filters', (d) => first(d, isImage).dict.set(name('Filter'), name('LZWDecode'))],
  ['bytes in another file', 'filters', (d, c) => first(d, isImage).dict.set(name('F'), c.obj({}))],
  [
    'a font that is not in the file',
    'fonts',
    (d) => {
      first(d, isDictWith('Type', 'FontDescriptor')).delete(name('FontFile2'));
    },
  ],
  [
    'a part of a font without its six letters',
    'fonts',
    (d) => first(d, isDictWith('Subtype', 'Type0')).set(name('BaseFont'), name('SourceSans3')),
  ],
  [
    'no way back to text',
    'fonts',
    (d) => {
      first(d, isDictWith('Subtype', 'Type0')).delete(name('ToUnicode'));
    },
  ],
  [
    'widths of another font',
    'glyphs',
    (d, c) => {
      const f = first(d, isDictWith('Subtype', 'CIDFontType2'));
      f.set(name('W'), c.obj([]));
      f.set(name('DW'), PDFNumber.of(1000));
    },
  ],
  ['a glyph that is not there', 'glyphs', (d) => spoilContent(d, (t) => t.replace(/\[<[0-9a-f]{4}>/, '[<fff0>'))],
  ['a graphics state that is not there', 'content', (d) => spoilContent(d, (t) => `/Nowhere gs\n${t}`)],
  ['an operator that is none', 'content', (d) => spoilContent(d, (t) => `1 frob\n${t}`)],
  ['a state that is not closed', 'content', (d) => spoilContent(d, (t) => `q\n${t}`)],
  ['words that are not ended', 'content', (d) => spoilContent(d, (t) => t.replace('ET\n', ''))],
  ['an operand too few', 'content', (d) => spoilContent(d, (t) => `1 2 3 re\n${t}`)],
];

test.each(PLANTS)('planted: %s', async (what, point, plant) => {
  const document = await PDFDocument.load(made, { updateMetadata: false });
  plant(document, document.context);
  const spoilt = await document.save({ useObjectStreams: false, addDefaultPage: false, updateFieldAppearances: false });
  const faults = await strictFaults(spoilt);
  expect([what, faults.map((f) => f.point)]).toEqual([what, expect.arrayContaining([point])]);
});

test('a file that was only opened and saved again has no faults beyond its identifier', async () => {
  const document = await PDFDocument.load(made, { updateMetadata: false });
  const saved = await document.save({ useObjectStreams: false, addDefaultPage: false, updateFieldAppearances: false });
  expect((await strictFaults(saved)).filter((f) => f.point !== 'identifier' && f.point !== 'header')).toEqual([]);
});
