/** Sheets of a book, laid by one part of the program, folded by another, are read in order. */
import fc from 'fast-check';
import { begin } from '../../testing/jobs';
import { SIGNATURES, type SignatureScheme } from '../impose';
import { foldSignature, imposed, type PrintedSignature } from './index';

const upTo = (pages: number) => Array.from({ length: pages }, (_, i) => i + 1);

/** A sheet whose leaves are so large, with so much around them. */
const printed = (scheme: SignatureScheme, around = { left: 0, top: 0, right: 0, bottom: 0 }): PrintedSignature => {
  const [wide, high] = [150, 210];
  const lines = (n: number, size: number, from: number) => upTo(n - 1).map((i) => from + i * size);
  return {
    scheme,
    pages: upTo(scheme.pages),
    sheet: {
      width: around.left + scheme.across * wide + around.right,
      height: around.top + scheme.down * high + around.bottom,
    },
    creases: { x: lines(scheme.across, wide, around.left), y: lines(scheme.down, high, around.top) },
  };
};

describe.each(SIGNATURES)('$pages pages', (scheme) => {
  test('folded by the simulation of the folder, it is read from 1 to its end, every page upright', () => {
    const { read, size } = foldSignature(printed(scheme));
    expect(read).toEqual(upTo(scheme.pages).map((page) => ({ page, isTurned: false })));
    expect(size).toEqual({ width: 150, height: 210 });
  });

  test('so it is with what is cut off later still around it, unlike at each edge', () => {
    const edge = fc.double({ min: 0, max: 40, noNaN: true });
    fc.assert(
      fc.property(fc.record({ left: edge, top: edge, right: edge, bottom: edge }), (around) => {
        expect(foldSignature(printed(scheme, around)).read.map(({ page }) => page)).toEqual(upTo(scheme.pages));
      }),
      { numRuns: 40 },
    );
  });

  test('each fold halves it and is told in words; the leaves are named by their pages', () => {
    const { folding } = foldSignature(printed(scheme));
    expect(folding.steps).toHaveLength(Math.log2(scheme.across * scheme.down));
    expect(folding.collisions).toEqual([]);
    for (const { name } of folding.steps) expect(name).toMatch(/^(left|right|upper|lower) half (over|up|down) /);
    const named = folding.parts.flatMap(({ name }) => (name.match(/\d+/g) ?? []).map(Number));
    expect(named.sort((a, b) => a - b)).toEqual(upTo(scheme.pages));
  });
});

describe('books as they are laid on the sheets of a house', () => {
  const read = (kind: string, set: Readonly<Record<string, string>>, signature: 4 | 8 | 16 | 32) => {
    const job = begin(kind, { size: '148 x 210 mm', ...set });
    const [piece] = job.pieces;
    if (!piece) throw new Error('no piece');
    const made = imposed({ ...job, output: { ...job.output, sheet: { ...SHEET, signature } } }, piece);
    if (!made.ok) throw new Error(made.message);
    // A cover is cut, not folded.
    return made.sheets.flatMap(({ signature: own, size }) =>
      own ? [foldSignature({ ...own, sheet: size }).read] : [],
    );
  };
  const SHEET = { work: 'sheetwise', stages: 3, turns: true, sheet: { width: 1000, height: 700 } } as const;

  test.each([4, 8, 16, 32] as const)('stitched, up to %i pages in a signature: nested, they are the book', (most) => {
    for (const pages of [8, 12, 16, 20, 28, 36, 48]) {
      const signatures = read('booklet', { pages: String(pages) }, most);
      // Each holds its first half around the next, and its second half behind it.
      const first = signatures.flatMap((own) => own.slice(0, own.length / 2));
      const second = [...signatures].reverse().flatMap((own) => own.slice(own.length / 2));
      expect([...first, ...second]).toEqual(upTo(pages).map((page) => ({ page, isTurned: false })));
    }
  });

  test.each([4, 8, 16, 32] as const)('glued, up to %i pages in a signature: one after the other', (most) => {
    for (const pages of [40, 48, 64, 100])
      expect(read('catalogue', { binding: 'perfect', pages: String(pages) }, most).flat()).toEqual(
        upTo(pages).map((page) => ({ page, isTurned: false })),
      );
  });
});
