/** Signatures: hand-worked sheets as printers lay them. */
import { SIGNATURES, bookSignatures, creepAt, signaturePlaces, tiling, type PagePlace } from './index';

/** A form as a table: page numbers, those that stand on their head with a minus. */
function formOf(places: readonly PagePlace[], form: PagePlace['form']): readonly (readonly number[])[] {
  const own = places.filter((place) => place.form === form);
  const rows = Math.max(...own.map(({ row }) => row)) + 1;
  return Array.from({ length: rows }, (_, row) =>
    own
      .filter((place) => place.row === row)
      .sort((a, b) => a.column - b.column)
      .map(({ page, isTurned }) => (isTurned ? -page : page)),
  );
}

const schemeOf = (pages: number) => {
  const scheme = SIGNATURES.find((one) => one.pages === pages);
  if (!scheme) throw new Error('no such scheme');
  return scheme;
};

describe('sheets as they are laid by hand (common practice)', () => {
  test('four pages: 4 and 1 outside, 2 and 3 inside', () => {
    const places = signaturePlaces(schemeOf(4));
    expect([formOf(places, 'outer'), formOf(places, 'inner')]).toEqual([[[4, 1]], [[2, 3]]]);
  });

  test('eight pages: 5 and 4 on their heads above 8 and 1', () => {
    const places = signaturePlaces(schemeOf(8));
    expect(formOf(places, 'outer')).toEqual([
      [-5, -4],
      [8, 1],
    ]);
    expect(formOf(places, 'inner')).toEqual([
      [-3, -6],
      [2, 7],
    ]);
  });

  test('sixteen pages: 5, 12, 9, 8 on their heads above 4, 13, 16, 1', () => {
    const places = signaturePlaces(schemeOf(16));
    expect(formOf(places, 'outer')).toEqual([
      [-5, -12, -9, -8],
      [4, 13, 16, 1],
    ]);
    expect(formOf(places, 'inner')).toEqual([
      [-7, -10, -11, -6],
      [2, 15, 14, 3],
    ]);
  });
});

describe.each(SIGNATURES)('$pages pages', (scheme) => {
  const places = signaturePlaces(scheme);

  test('every page has a place, every place a page', () => {
    expect(places.map(({ page }) => page).sort((a, b) => a - b)).toEqual(
      Array.from({ length: scheme.pages }, (_, i) => i + 1),
    );
    expect(new Set(places.map(({ form, column, row }) => `${form} ${column} ${row}`)).size).toBe(scheme.pages);
  });

  test('the two pages of a leaf lie back to back', () => {
    const at = (form: string, column: number, row: number) =>
      places.find((p) => p.form === form && p.column === column && p.row === row);
    for (const { form, column, row, page } of places) {
      const behind = at(form === 'outer' ? 'inner' : 'outer', scheme.across - 1 - column, row);
      expect(Math.ceil((behind?.page ?? 0) / 2)).toBe(Math.ceil(page / 2));
    }
  });
});

describe('books', () => {
  test('28 pages stitched: 16, 8 and 4 nested', () => {
    const signatures = bookSignatures(28, 16, 'nested');
    expect(signatures.map(({ scheme }) => scheme.pages)).toEqual([16, 8, 4]);
    expect(signatures[0]?.pages).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 21, 22, 23, 24, 25, 26, 27, 28]);
    expect(signatures[2]?.pages).toEqual([13, 14, 15, 16]);
  });

  test('glued, one behind the other', () => {
    const signatures = bookSignatures(24, 16, 'gathered');
    expect(signatures.map(({ pages }) => [pages[0], pages.at(-1)])).toEqual([
      [1, 16],
      [17, 24],
    ]);
  });

  test.each([4, 8, 28, 60, 96])('of %i pages each page once', (pages) => {
    for (const gathering of ['nested', 'gathered'] as const)
      expect(
        bookSignatures(pages, 16, gathering)
          .flatMap((s) => s.pages)
          .sort((a, b) => a - b),
      ).toEqual(Array.from({ length: pages }, (_, i) => i + 1));
  });

  test('creep: none on the outermost sheet, a thickness more on each further in, alike on its four pages', () => {
    expect([1, 2, 27, 28].map((page) => creepAt(page, 28, 0.13))).toEqual([0, 0, 0, 0]);
    expect([3, 4, 25, 26].map((page) => creepAt(page, 28, 0.13))).toEqual([0.13, 0.13, 0.13, 0.13]);
    expect(creepAt(14, 28, 0.13)).toBeCloseTo(6 * 0.13, 9);
  });
});

describe('tiles', () => {
  const A1 = { x: 0, y: 0, width: 594, height: 841 };
  const A4 = { width: 210, height: 297 };

  test('an A1 poster on A4 with 5 mm of rim and 10 mm to glue: 4 × 3 turned sheets are 12, upright 3 × 4 too', () => {
    const made = tiling({ whole: A1, sheet: A4, rim: 5, overlap: 10 });
    if (!made.ok) throw new Error(made.message);
    const { columns, rows, tiles } = made.tiling;
    // (594 − 10) ÷ (200 − 10) = 3.07, so 4; (841 − 10) ÷ (287 − 10) = 3. Turned: 2.1 and 4.4, so 3 × 5.
    expect([columns, rows]).toEqual([4, 3]);
    expect(tiles[0]?.name).toBe('A1');
    expect(tiles.at(-1)?.name).toBe('C4');
  });

  test('every point of the whole is on a sheet, neighbours share exactly the overlap', () => {
    const made = tiling({ whole: A1, sheet: A4, rim: 5, overlap: 10 });
    if (!made.ok) throw new Error(made.message);
    const { tiles, columns } = made.tiling;
    for (const { shows, glued, column, row } of tiles) {
      const beside = tiles.find((t) => t.column === column + 1 && t.row === row);
      if (glued.right) expect(shows.x + shows.width - (beside?.shows.x ?? 0)).toBeCloseTo(10, 9);
      if (column === columns - 1) expect(shows.x + shows.width).toBeCloseTo(594, 9);
    }
  });

  test('an overlap that leaves nothing is refused in words', () => {
    expect(tiling({ whole: A1, sheet: A4, rim: 100, overlap: 10 })).toMatchObject({ ok: false });
  });
});
