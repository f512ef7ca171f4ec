/** Copies that differ: a page or a label for each record, read back by poppler and by a decoder of another make. */
import { createHash } from 'node:crypto';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { readDataFile } from '../bring-in/data';
import { checkDigit } from '../core/code';
import type { Element, Job } from '../core/job';
import { pdfOf } from '../testing/exports';
import { begin, box, element, inMemory, makeJob, picture, words } from '../testing/jobs';
import { inFolder, pageTexts, platesOf, run } from '../testing/programs';
import { readBack, readyToRead } from '../testing/read-codes';
import { checkJob, type AssetSource } from '.';

beforeAll(readyToRead);

const code = (symbology: 'ean-13' | 'qr', content: string, [x, y, width, height]: readonly number[]) =>
  element<'code'>({
    kind: 'code',
    id: symbology,
    placement: { against: { box: 'trim' }, x: { start: x, size: width }, y: { start: y, size: height } },
    symbology,
    content,
  } as never);

/** A job with the rows of a file as its records, and the files that it has. */
function recorded(job: Job, csv: string): { readonly job: Job; readonly assets: AssetSource } {
  const bytes = new TextEncoder().encode(csv);
  const read = readDataFile('people.csv', bytes);
  if (!read.ok) throw new Error(read.problem);
  const file = createHash('sha256').update(bytes).digest('hex');
  return {
    job: { ...job, assets: { ...job.assets, [file]: read.asset }, records: { from: 'file', file } },
    assets: inMemory(new Map([[file, bytes]])),
  };
}

const PEOPLE = `Name;Title;Id
Ada Quill;Founder;7
Ben Rook;;8
Cleo Dark;Keeper of the dome;9
`;

const cards = (extra: readonly Element[] = []) =>
  makeJob(
    [
      box('ground', [0, 0, 85, 55], { fill: { kind: 'process', c: 0, m: 0, y: 20, k: 0 } }),
      words('name', '{name}\n{title}', [5, 5, 45, 20]),
      code('qr', 'https://quillrook.example/p/{id}', [55, 5, 25, 25]),
      ...extra,
    ],
    {},
    { size: { width: 85, height: 55 } },
  );

const lines = (bytes: Uint8Array) =>
  inFolder((folder) => {
    const path = join(folder, 'f.pdf');
    writeFileSync(path, bytes);
    const check = run('qpdf', ['--check', path]);
    expect(check).not.toMatch(/warning|error \(/i);
    return pageTexts(path).slice(0, -1);
  });

test('a card for each row: its words, no line where a cell is empty, and its code', async () => {
  const { job, assets } = recorded(cards(), PEOPLE);
  const bytes = await pdfOf(job, assets);
  const pages = await lines(bytes);
  expect(pages).toHaveLength(3);
  expect(
    pages.map((text) =>
      text.split('\n').filter((line) => /Quill|Rook|Dark|Founder|Keeper/.test(line) && !/·/.test(line)),
    ),
  ).toEqual([['Ada Quill', 'Founder'], ['Ben Rook'], ['Cleo Dark', 'Keeper of the dome']]);
  for (const [i, id] of ['7', '8', '9'].entries()) {
    const black = (await platesOf(bytes, i + 1, 600)).get('Black');
    expect(black && (await readBack(black))).toEqual([`https://quillrook.example/p/${id}`]);
  }
});

test('what all copies have in common lies in the file once', async () => {
  const { job, assets } = recorded(cards(), PEOPLE);
  const forms = await inFolder(async (folder) => {
    const path = join(folder, 'f.pdf');
    writeFileSync(path, await pdfOf(job, assets));
    return run('qpdf', ['--qdf', '--object-streams=disable', path, '-']).match(/\/Subtype \/Form/g)?.length;
  });
  // The ground, and what lies around the card.
  expect(forms).toBe(2);
});

test('each copy prints as it would alone', async () => {
  const { job, assets } = recorded(cards(), PEOPLE);
  const all = await pdfOf(job, assets);
  const [head, , third] = PEOPLE.trim().split('\n').toSpliced(1, 1);
  const alone = recorded(cards(), [head, third, ''].join('\n'));
  const [many, one] = await Promise.all([
    platesOf(all, 3, 150),
    platesOf(await pdfOf(alone.job, alone.assets), 1, 150),
  ]);
  for (const [name, { ink }] of one) {
    const other = many.get(name)?.ink ?? [];
    // Where an edge lies on the border of two pixels, a form may round it to the other side.
    expect(ink.reduce((sum, v, i) => sum + (v === other[i] ? 0 : 1), 0) / ink.length).toBeLessThan(0.0005);
  }
});

test('labels take one record after the other; the last web is filled as far as there are', async () => {
  const job = begin('roll-labels', {});
  const [piece] = job.pieces;
  if (!piece) throw new Error('no piece');
  const count = 10;
  const made: Job = {
    ...job,
    output: { ...job.output, marks: { ...job.output.marks, slugLine: false } },
    records: { from: 'count', first: 400638133398, step: 1, count, digits: 12 },
    pieces: [{ ...piece, surfaces: { ...piece.surfaces, label: [code('ean-13', '{number}', [5, 12, 45, 28])] } }],
  };
  const bytes = await pdfOf(made);
  const expected = Array.from({ length: count }, (_, i) => String(400638133398 + i)).map((n) => `${n}${checkDigit(n)}`);
  const found: string[] = [];
  const pages = await lines(bytes);
  for (const [i] of pages.entries()) {
    const black = (await platesOf(bytes, i + 1, 600)).get('Black');
    found.push(...(black ? await readBack(black) : []));
  }
  expect(found.sort()).toEqual(expected.sort());
  expect(new Set(pages.map((text) => text.replaceAll(/\D/g, '').slice(0, 13))).size).toBe(pages.length);
});

test('what is wrong with a copy is named with its row, and no file is made', async () => {
  const face = picture('face', null, [60, 32, 20, 20], { column: 'photo' });
  const rows = 'name,id,photo\nAda,7,\nBen,8,ben.jpg\n' + `${'Cleopatra of the Dark '.repeat(40)},9,\n`;
  const { job, assets } = recorded(cards([face]), rows);
  const failing = pdfOf(job, assets);
  const why = /Record 2 \(row 3 of “people.csv”\): The record names the picture “ben.jpg”/;
  await expect(failing).rejects.toThrow(why);
  await expect(failing).rejects.toThrow(/Record 3 \(row 4 of “people.csv”\)/);
  const told = (await checkJob(job, assets)).map(({ message }) => message);
  expect(told.filter((message) => message.startsWith('Record ')).length).toBeGreaterThanOrEqual(2);
});

test('codes that cannot be made are named before anything else is', async () => {
  const { job, assets } = recorded(
    makeJob([code('ean-13', '{ean}', [5, 5, 60, 30])]),
    'ean\n4006381333931\n4006381333932\nhello\n',
  );
  await expect(pdfOf(job, assets)).rejects.toThrow(/Record 2 .*has to be 1[\s\S]*Record 3 .*digits alone/);
});

describe('on the sheets of the press', () => {
  const ids = Array.from({ length: 20 }, (_, i) => String(101 + i));
  const sheetsOf = async (order: 'across' | 'piles', sides: 1 | 2 = 1) => {
    const { job, assets } = recorded(
      makeJob(
        [words('name', 'N{id}', [5, 5, 60, 10])],
        {},
        {
          size: { width: 85, height: 55 },
          sides,
          surfaces: {
            front: [words('name', 'N{id}', [5, 5, 60, 10])],
            back: sides === 2 ? [words('back', 'B{id}', [5, 5, 60, 10])] : [],
          },
        },
      ),
      `id\n${ids.join('\n')}\n`,
    );
    const sheet = { width: 320, height: 450 };
    const made: Job = {
      ...job,
      output: { ...job.output, sheet: { sheet, work: 'sheetwise', stages: 3, turns: false, order } },
    };
    const bytes = await pdfOf(made, assets, 'sheets');
    // Words in the order in which they lie on the sheet: rows from the head, each from its left.
    return inFolder((folder) => {
      const path = join(folder, 'f.pdf');
      writeFileSync(path, bytes);
      const boxes = run('pdftotext', ['-bbox', path, '-']).split('<page ').slice(1);
      return boxes.map((page) =>
        [...page.matchAll(/xMin="([\d.]+)" yMin="([\d.]+)"[^>]*>([NB]\d+)</g)].map(([, x, y, word]) => ({
          x: Number(x),
          y: Number(y),
          word: word ?? '',
        })),
      );
    });
  };
  const inOrder = (page: readonly { x: number; y: number; word: string }[]) =>
    [...page].sort((a, b) => (Math.abs(a.y - b.y) > 5 ? a.y - b.y : a.x - b.x)).map(({ word }) => word);

  test('records follow each other across a sheet', async () => {
    const pages = (await sheetsOf('across')).map(inOrder);
    expect(pages.flat()).toEqual(ids.map((id) => `N${id}`));
  });

  test('or down through the pile: cut, and laid on each other, they are in order', async () => {
    const pages = (await sheetsOf('piles')).map(inOrder);
    const up = Math.max(...pages.map((page) => page.length));
    const piles = Array.from({ length: up }, (_, place) => pages.flatMap((page) => page[place] ?? []));
    expect(piles.flat()).toEqual(ids.map((id) => `N${id}`));
  });

  test('the back of a copy lies behind its front', async () => {
    const pages = await sheetsOf('across', 2);
    const width = (320 / 25.4) * 72;
    for (let i = 0; i < pages.length; i += 2) {
      const [fronts = [], backs = []] = [pages[i], pages[i + 1]];
      expect(backs).toHaveLength(fronts.length);
      for (const front of fronts) {
        const id = front.word.slice(1);
        const back = backs.find(({ word }) => word === `B${id}`);
        // Turned over about its upright middle: what begins left of a piece begins as far from its left on the back.
        const piece = (85 / 25.4) * 72;
        const margin = (5 / 25.4) * 72;
        expect(back?.x).toBeCloseTo(width - (front.x - margin) - piece + margin, 0);
        expect(back?.y).toBeCloseTo(front.y, 0);
      }
    }
  });

  test('one form for both passes cannot print copies that differ, and says so', async () => {
    const { job, assets } = recorded(cards(), PEOPLE);
    const turned: Job = { ...job, output: { ...job.output, sheet: { work: 'turn', stages: 3, turns: true } } };
    await expect(pdfOf(turned, assets, 'sheets')).rejects.toThrow(/Print it sheetwise/);
  });
});

test('words that grow out of the card on one copy alone are named with its row, and what all have is not', async () => {
  const grows = words('name', '{name}', [5, 5, 45, 20]);
  const text = { ...grows, placement: { ...grows.placement, y: { start: 5, size: 'content' as const } } };
  const tight = box('edge', [0.5, 20, 10, 5], { name: 'Near the knife' });
  const job = makeJob([text, tight], {}, { size: { width: 85, height: 55 } });
  const { job: recordedJob, assets } = recorded(job, `name\nAda\n${'Cleopatra '.repeat(40)}\n`);
  const told = (await checkJob(recordedJob, assets)).map(({ message, element }) => [element, message.slice(0, 8)]);
  expect(told).toContainEqual(['name', 'Record 2']);
  expect(told).not.toContainEqual(['edge', 'Record 2']);
});

test('a name that is no column is told, and type that is made too small on one copy', async () => {
  const fits = words('name', '{name}', [5, 5, 45, 10], {}, { fit: { to: 'frame', least: 10 } });
  const job = makeJob([fits, words('lost', 'Call {phone}', [5, 30, 45, 10])], {}, { size: { width: 85, height: 55 } });
  const { job: recordedJob, assets } = recorded(job, `name\nAda\n${'Cleopatra '.repeat(30)}\n`);
  const told = (await checkJob(recordedJob, assets)).map(({ rule, message }) => `${rule}: ${message}`);
  expect(told.filter((words) => words.startsWith('column-unknown'))).toEqual([
    'column-unknown: {phone}: the records have no such column. They have name.',
  ]);
  expect(told.some((words) => /^type-small: Record 2 /.test(words))).toBe(true);
});
