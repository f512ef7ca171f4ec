/**
 * Codes as they are printed: the black plate that Ghostscript separates from the press file, read by a decoder of
 * another make (ZXing), also after the plate has gained.
 */
import fc from 'fast-check';
import { SYMBOLOGY, readContent, type Symbology } from '../core/code';
import type { Job } from '../core/job';
import { runs } from '../testing/all';
import { checked } from '../testing/checked';
import { pdfOf } from '../testing/exports';
import { pictureOf, readBack, readyToRead } from '../testing/read-codes';
import { box, element, makeJob, words } from '../testing/jobs';
import { process as inks } from '../testing/plates';
import { platesOf, type Plate } from '../testing/programs';

const PPI = 600;

beforeAll(readyToRead);

const UNMARKED = { corner: false, centre: false, register: false, colourBar: false, slugLine: false, fold: false };

interface Asked {
  readonly symbology: Symbology;
  readonly content: string;
  readonly size?: readonly [number, number];
  readonly reduction?: number;
}

const codeElement = (
  id: string,
  { symbology, content, size, reduction = 0 }: Asked,
  x: number,
  y: number,
  more: object = {},
) => {
  const [width, height] = size ?? (SYMBOLOGY[symbology].form === 'bars' ? [60, 25] : [25, 25]);
  return element<'code'>({
    kind: 'code',
    id,
    name: id,
    symbology,
    content,
    reduction,
    placement: { against: { box: 'trim' }, x: { start: x, size: width }, y: { start: y, size: height } },
    ...more,
  } as never);
};

/** A page that is no larger than it has to be: at 600 ppi every square centimetre is 56,000 pixels. */
const jobOf = (codes: readonly ReturnType<typeof codeElement>[]): Job => {
  const job = makeJob(codes, {}, { size: { width: 130, height: 130 } });
  return { ...job, output: { ...job.output, marks: UNMARKED } };
};

async function blackOf(job: Job): Promise<Plate> {
  const plate = (await platesOf(await pdfOf(job), 1, PPI)).get('Black');
  if (!plate) throw new Error('no black plate');
  return plate;
}

const EACH: readonly Asked[] = [
  { symbology: 'ean-13', content: '629104150021' },
  { symbology: 'ean-8', content: '9520000' },
  { symbology: 'upc-a', content: '03600029145' },
  { symbology: 'itf-14', content: '0952123454321', size: [90, 35] },
  { symbology: 'code-128', content: 'Night 42', size: [70, 20] },
  { symbology: 'gs1-128', content: '(01)09521234543213(10)AB-7', size: [120, 35] },
  { symbology: 'qr', content: 'https://example.org/meteor-night' },
  { symbology: 'data-matrix', content: 'Quillrook 7' },
];

test.each(EACH)('$symbology is read from the black plate, plain and after it has gained', async (asked) => {
  const job = jobOf([codeElement('c', asked, 4, 4)]);
  const read = readContent(asked.symbology, asked.content);
  const wanted = read.ok ? read.data.replace(/^0(?=\d{12}$)/, '') : '';
  const norm = (text: string) => text.replaceAll(/[()\s]/g, '').replace(/^0(?=\d{12}$)/, '');
  const plate = await blackOf(job);
  for (const gain of [0, 1]) expect((await readBack(plate, gain)).map(norm)).toEqual([norm(wanted)]);
});

test('bars drawn narrower come out as they were meant where the ink gains by as much', async () => {
  const asked = { symbology: 'ean-13', content: '629104150021', reduction: (2 * 25.4) / PPI } as const;
  const job = jobOf([codeElement('c', asked, 4, 4)]);
  const plain = await blackOf(jobOf([codeElement('c', { ...asked, reduction: 0 }, 4, 4)]));
  const narrow = await blackOf(job);
  const y = Math.round((12 / 25.4) * PPI);
  const darkOn = (picture: ImageData) =>
    Array.from({ length: picture.width }, (_, x) => picture.data[(y * picture.width + x) * 4] ?? 255).filter(
      (v) => v === 0,
    ).length;
  // A pixel on either side of every bar is gained back.
  const [meant, gained] = [darkOn(pictureOf(plain)), darkOn(pictureOf(narrow, 1))];
  expect(Math.abs(gained - meant) / meant).toBeLessThan(0.08);
  expect(await readBack(narrow, 1)).toHaveLength(1);
});

test('random contents: every one is read back as it was typed', async () => {
  const digits = (n: number) => fc.stringMatching(new RegExp(`^[0-9]{${n}}$`));
  const arbitrary = {
    'ean-13': digits(12),
    'ean-8': digits(7),
    'upc-a': digits(11),
    'itf-14': digits(13),
    'code-128': fc.stringMatching(/^[A-Za-z0-9 .,:/-]{3,14}$/).filter((s) => s.trim() === s && s.length > 2),
    qr: fc.stringMatching(/^[A-Za-z0-9 äöüß€.,:/?&=-]{1,60}$/).filter((s) => s.trim() === s && s !== ''),
    'data-matrix': fc.stringMatching(/^[A-Za-z0-9 .,:/-]{1,30}$/).filter((s) => s.trim() === s && s !== ''),
  } as const;
  let [many, bad] = [0, 0];
  for (const [symbology, contents] of Object.entries(arbitrary) as [Symbology, fc.Arbitrary<string>][]) {
    const isBars = SYMBOLOGY[symbology].form === 'bars';
    // Eight rows of bars, or sixteen squares, on a page: a thousand of each where everything is tried.
    const up = isBars ? 8 : 16;
    for (let page = 0; page < runs(Math.ceil(1000 / up), 125); page += 1) {
      const list = fc.sample(contents, { seed: 1000 + page, numRuns: up });
      const codes = list.map((content, i) => {
        const [x, y] = isBars ? [5, 4 + i * 15] : [4 + (i % 4) * 31, 4 + Math.floor(i / 4) * 31];
        const size = isBars ? ([120, 11] as const) : ([28, 28] as const);
        return codeElement(`c${i}`, { symbology, content, size }, x, y, { words: false });
      });
      const wanted = list.map((content) => {
        const read = readContent(symbology, content);
        return read.ok ? read.data.replace(/^0(?=\d{12}$)/, '') : '';
      });
      const found = (await readBack(await blackOf(jobOf(codes)))).map((text) => text.replace(/^0(?=\d{12}$)/, ''));
      many += wanted.length;
      const left = [...found];
      for (const text of wanted) {
        const at = left.indexOf(text);
        if (at < 0) bad += 1;
        else left.splice(at, 1);
      }
    }
  }
  process.stdout.write(`codes read back by ZXing: ${many - bad} of ${many}\n`);
  expect(bad).toBe(0);
}, 1_800_000);

describe('checks', () => {
  const found = async (elements: Parameters<typeof makeJob>[0], rule: string) =>
    (await checked(makeJob(elements, {}, { size: { width: 210, height: 297 } }))).filter((f) => f.rule === rule);
  const qr = (more: object = {}, size: readonly [number, number] = [25, 25]) =>
    codeElement('c', { symbology: 'qr', content: 'https://example.org', size }, 30, 30, more);

  test('a sound code has nothing found', async () => {
    const all = await checked(makeJob([qr()], {}, { size: { width: 210, height: 297 } }));
    expect(all.filter((f) => f.rule.startsWith('code-'))).toEqual([]);
  });

  test('what cannot be encoded says why, and nothing is printed', async () => {
    const wrong = codeElement('c', { symbology: 'ean-13', content: '12' }, 30, 30);
    expect((await found([wrong], 'code-wrong'))[0]?.message).toContain('has 2 digits; 12, or 13');
  });

  test('too small; the fix makes it as large as is usual', async () => {
    const [finding] = await found([qr({}, [8, 8])], 'code-size');
    expect(finding?.severity).toBe('fault');
    expect(finding?.message).toContain('ISO/IEC 18004');
    const change = finding?.fixes[0]?.change;
    if (change?.kind !== 'element') throw new Error('no fix');
    expect(await found([change.element], 'code-size')).toEqual([]);
  });

  test('type in its white, or an edge, is a fault; a ground that goes on beneath is none', async () => {
    expect(await found([qr(), words('t', 'Near', [53, 35, 40, 10])], 'code-quiet')).toHaveLength(1);
    expect(await found([qr(), words('t', 'Far', [58, 35, 40, 10])], 'code-quiet')).toEqual([]);
    const ground = box('ground', [0, 0, 210, 297], { fill: inks(0, 0, 20, 0) });
    expect(await found([ground, qr({ ground: null })], 'code-quiet')).toEqual([]);
    const half = box('half', [0, 0, 40, 297], { fill: inks(0, 0, 20, 0) });
    expect(await found([half, qr({ ground: null })], 'code-quiet')).toHaveLength(1);
  });

  test('red bars are white to a reader, and so is black on a dark ground', async () => {
    expect(await found([qr({ paint: inks(0, 100, 100, 0) })], 'code-contrast')).toHaveLength(1);
    expect(await found([qr({ ground: inks(60, 0, 0, 0) })], 'code-contrast')).toHaveLength(1);
    expect(await found([qr({ paint: inks(100, 60, 0, 20), ground: inks(0, 10, 60, 0) })], 'code-contrast')).toEqual([]);
  });
});
