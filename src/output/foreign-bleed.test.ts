/**
 * What is seen beyond the trim of somebody else’s page: in the press file, as Ghostscript separates it, and on the
 * bench, as poppler draws the same page.
 */
import { createHash } from 'node:crypto';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { PDFDocument, PDFName, degrees } from '@cantoo/pdf-lib';
import sharp from 'sharp';
import { readDocument } from '../bring-in/document';
import type { Beyond } from '../core/element';
import { edges } from '../core/layout';
import { pdfOf } from '../testing/exports';
import { element, inMemory, makeJob } from '../testing/jobs';
import { UNMARKED } from '../testing/plates';
import { inFolder, platesOf, run, type Plate } from '../testing/programs';
import { documentPage } from './document-page';

const PT = 25.4 / 72;
/** The page and its bleed, points: pixels of the plates at 72 ppi. */
const [WIDE, HIGH, BLEED] = [100, 80, 10];

interface Made {
  /** Room around the trim; none: the page is its trim. */
  readonly room?: number;
  readonly rotate?: number;
  /** What is drawn, with the lower left corner of the trim as its zero. */
  readonly content: string;
}

async function pagePdf({ room = 0, rotate = 0, content }: Made): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  const page = document.addPage([WIDE + 2 * room, HIGH + 2 * room]);
  page.setTrimBox(room, room, WIDE, HIGH);
  page.setRotation(degrees(rotate));
  page.node.set(
    PDFName.of('Contents'),
    document.context.register(document.context.flateStream(`1 0 0 1 ${room} ${room} cm ${content}`)),
  );
  return document.save({ useObjectStreams: false });
}

/** Black patches of different sizes by all four edges and in two corners. */
const PATCHES = [
  '0 0 0 1 k 0 20 6 15 re f 0 0 0 .6 k 3 60 4 9 re f',
  '0 0 0 1 k 92 30 8 8 re f 0 0 0 .4 k 30 74 20 6 re f',
  '0 0 0 .8 k 60 0 9 5 re f 0 0 0 1 k 0 0 4 3 re f 0 0 0 .5 k 95 76 5 4 re f',
].join(' ');

/** The page on a side of its size, and its black plate with the bleed around it. */
async function blackOf(bytes: Uint8Array, beyond: Beyond, isTurned = false): Promise<Plate> {
  const read = await readDocument('page.pdf', bytes);
  if (!read.ok) throw new Error(read.problem);
  const sha = createHash('sha256').update(bytes).digest('hex');
  const whole = { start: 0, end: 0 };
  const shown = element<'page'>({
    kind: 'page',
    id: 'p',
    document: sha,
    beyond,
    placement: { against: { box: 'trim' }, x: whole, y: whole },
  });
  const [width, height] = isTurned ? [HIGH, WIDE] : [WIDE, HIGH];
  const job = makeJob(
    [shown],
    { assets: { [sha]: read.document }, ...UNMARKED },
    { size: { width: width * PT, height: height * PT }, bleed: edges(BLEED * PT) },
  );
  const black = (await platesOf(await pdfOf(job, inMemory(new Map([[sha, bytes]]))), 1, 72)).get('Black');
  if (!black) throw new Error('There is no black plate.');
  expect([black.width, black.height]).toEqual([width + 2 * BLEED, height + 2 * BLEED]);
  return black;
}

/** Pixels at which two plates are not the same, to a hundredth. */
function differing(a: Plate, at: (x: number, y: number) => number): number {
  let count = 0;
  for (let y = 0; y < a.height; y += 1)
    for (let x = 0; x < a.width; x += 1) if (Math.abs(a.at(x, y) - at(x, y)) > 0.01) count += 1;
  return count;
}

/** A coordinate beyond an edge, reflected at it. */
const reflected = (at: number, long: number): number =>
  at < BLEED ? 2 * BLEED - 1 - at : at >= BLEED + long ? 2 * (BLEED + long) - 1 - at : at;

test('an edge that is mirrored: beyond the trim lies what lies as far inside it, in the corners too', async () => {
  const black = await blackOf(await pagePdf({ content: PATCHES }), 'mirrored');
  expect(black.at(BLEED - 3, BLEED + 80 - 25)).toBeCloseTo(1, 1);
  // Where two tints meet, a pixel may belong to either: what is mirrored lies a twentieth of a millimetre beneath.
  const isEven = (x: number, y: number) =>
    [-1, 1].every((d) => black.at(x + d, y) === black.at(x, y) && black.at(x, y + d) === black.at(x, y));
  let compared = 0;
  for (let y = 1; y < black.height - 1; y += 1)
    for (let x = 1; x < black.width - 1; x += 1) {
      const [x0, y0] = [reflected(x, WIDE), reflected(y, HIGH)];
      if ((x0 === x && y0 === y) || !isEven(x, y) || !isEven(x0, y0)) continue;
      compared += 1;
      expect([x, y, black.at(x, y)]).toEqual([x, y, black.at(x0, y0)]);
    }
  expect(compared).toBeGreaterThan(2000);
});

test.each([0, 90, 180, 270])(
  'what the file has beyond its trim, turned by %i degrees, is what Ghostscript draws of it',
  async (rotate) => {
    const content = `${PATCHES} 0 0 0 .7 k -10 40 7 10 re f 0 0 0 .3 k 20 80 30 10 re f 0 0 0 .9 k 104 -4 6 8 re f`;
    const bytes = await pagePdf({ room: BLEED, rotate, content });
    const black = await blackOf(bytes, 'own', rotate % 180 !== 0);
    const theirs = (await platesOf(bytes, 1, 72)).get('Black');
    expect(theirs && differing(black, theirs.at)).toBe(0);
    // Without it the bleed is bare.
    const bare = await blackOf(bytes, 'nothing', rotate % 180 !== 0);
    const isInside = (x: number, y: number) =>
      x >= BLEED && x < bare.width - BLEED && y >= BLEED && y < bare.height - BLEED;
    expect(differing(bare, (x, y) => (isInside(x, y) ? (theirs?.at(x, y) ?? 0) : 0))).toBe(0);
  },
);

test('a page that is drawn larger goes out to the bleed: each length across grows by as much', async () => {
  const black = await blackOf(await pagePdf({ content: '0 0 0 1 k 50 40 25 20 re f' }), 'stretched');
  // From 50 to 75 of 100 becomes 60 to 90 of 120; from 40 to 60 of 80 becomes 50 to 75 of 100, from below.
  const isInk = (x: number, y: number) => (x >= 60 && x < 90 && y >= 25 && y < 50 ? 1 : 0);
  expect(differing(black, isInk)).toBe(0);
});

test('a page with less beyond its trim than is wanted shows what there is', async () => {
  const bytes = await pagePdf({ room: 4, content: '0 0 0 1 k -4 -4 200 200 re f' });
  const black = await blackOf(bytes, 'own');
  const isInk = (x: number, y: number) => (x >= 6 && x < BLEED + WIDE + 4 && y >= 6 && y < BLEED + HIGH + 4 ? 1 : 0);
  expect(differing(black, isInk)).toBe(0);
});

describe('on the bench', () => {
  const grey = async (png: Uint8Array) => {
    const { data, info } = await sharp(png).flatten({ background: '#fff' }).greyscale().raw().toBuffer({
      resolveWithObject: true,
    });
    return { data, width: info.width, height: info.height };
  };
  /** The whole paper as poppler draws it, one pixel a point. */
  const poppler = async (bytes: Uint8Array) =>
    inFolder(async (folder) => {
      writeFileSync(join(folder, 'f.pdf'), bytes);
      run('pdftocairo', ['-png', '-r', '72', '-singlefile', join(folder, 'f.pdf'), join(folder, 'f')]);
      return grey(await sharp(join(folder, 'f.png')).png().toBuffer());
    });

  test.each([0, 90, 270])('a page turned by %i degrees, by its trim and with what is beyond it', async (rotate) => {
    const content = '0 g -10 40 7 10 re f 0 20 6 15 re f 20 80 30 10 re f 60 50 20 20 re f';
    const bytes = await pagePdf({ room: BLEED, rotate, content });
    const [wide, high] = rotate % 180 === 0 ? [WIDE, HIGH] : [HIGH, WIDE];
    const theirs = await poppler(bytes);
    const whole = await grey(await documentPage(bytes, { page: 1, beyond: edges(BLEED * PT) }, wide + 2 * BLEED));
    expect([whole.width, whole.height]).toEqual([theirs.width, theirs.height]);
    const differs = (a: number | undefined, b: number | undefined) => Math.abs((a ?? 0) - (b ?? 0)) > 100;
    expect(whole.data.filter((value, i) => differs(value, theirs.data[i]))).toHaveLength(0);
    const trim = await grey(await documentPage(bytes, { page: 1 }, wide));
    expect([trim.width, trim.height]).toEqual([wide, high]);
    const isSame = trim.data.every((value, i) => {
      const [x, y] = [(i % wide) + BLEED, Math.floor(i / wide) + BLEED];
      return !differs(value, theirs.data[y * theirs.width + x]);
    });
    expect(isSame).toBe(true);
  });
});
