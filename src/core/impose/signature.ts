import type { Mm } from '../measure';

/** One fold of a sheet in halves: its crease upright or level, and which half is laid over the other. */
export interface HalfFold {
  readonly crease: 'upright' | 'level';
  /** `low`: the left or upper half is lifted over the other. */
  readonly over: 'low' | 'high';
}

/** A way to fold a sheet into a signature: its inner form lies up, and each fold halves what lies there. */
export interface SignatureScheme {
  readonly pages: 4 | 8 | 16 | 32;
  /** Leaves side by side, and one above the other. */
  readonly across: number;
  readonly down: number;
  readonly folds: readonly HalfFold[];
}

const spine: HalfFold = { crease: 'upright', over: 'low' };

/** Right-angle folding in halves, the last fold at the spine [cp]. */
export const SIGNATURES: readonly SignatureScheme[] = [
  { pages: 4, across: 2, down: 1, folds: [spine] },
  { pages: 8, across: 2, down: 2, folds: [{ crease: 'level', over: 'low' }, spine] },
  {
    pages: 16,
    across: 4,
    down: 2,
    folds: [{ crease: 'upright', over: 'high' }, { crease: 'level', over: 'low' }, spine],
  },
  {
    pages: 32,
    across: 4,
    down: 4,
    folds: [
      { crease: 'level', over: 'high' },
      { crease: 'upright', over: 'high' },
      { crease: 'level', over: 'low' },
      spine,
    ],
  },
];

/** Where a page of a signature lies on its sheet. */
export interface PagePlace {
  /** From 1, in the order in which the folded signature is read. */
  readonly page: number;
  /** The form that is outside when it is folded, or the other. */
  readonly form: 'outer' | 'inner';
  /** As one looks at that form, from its top left, from 0. */
  readonly column: number;
  readonly row: number;
  /** Head down. */
  readonly isTurned: boolean;
  /** On which side of the page the spine is, as one reads it. */
  readonly spine: 'left' | 'right';
}

/** A leaf on its way: where on the flat sheet it is, which of its faces lies up, and how that is turned. */
interface Leaf {
  readonly column: number;
  readonly row: number;
  readonly up: PagePlace['form'];
  readonly isTurned: boolean;
}

/** Leaves that lie on each other, the lowest first, in columns and rows. */
type Stacks = readonly (readonly (readonly Leaf[])[])[];

/** Turned over about an upright or a level line. */
const over = (leaf: Leaf, crease: HalfFold['crease']): Leaf => ({
  ...leaf,
  up: leaf.up === 'inner' ? 'outer' : 'inner',
  // The faces are looked at by turning the sheet about an upright line; about a level one each stands on its head.
  isTurned: crease === 'level' ? !leaf.isTurned : leaf.isTurned,
});

/** Folds what lies there in half. Stacks are given as columns of rows. */
function folded(stacks: Stacks, { crease, over: moves }: HalfFold): Stacks {
  const lines = crease === 'upright' ? stacks : transposed(stacks);
  const half = lines.length / 2;
  const [low, high] = [lines.slice(0, half), lines.slice(half)];
  const [stays, moved] = moves === 'low' ? [high, [...low].reverse()] : [low, [...high].reverse()];
  const laid = stays.map((line, i) =>
    line.map((stack, j) => [...stack, ...[...(moved[i]?.[j] ?? [])].reverse().map((leaf) => over(leaf, crease))]),
  );
  return crease === 'upright' ? laid : transposed(laid);
}

const transposed = (stacks: Stacks): Stacks =>
  (stacks[0] ?? []).map((_, row) => stacks.map((column) => column[row] ?? []));

/** Where each page lies, found by folding the sheet: what then lies in which order is how it is read. */
export function signaturePlaces({ across, down, folds }: SignatureScheme): readonly PagePlace[] {
  const flat: Stacks = Array.from({ length: across }, (_, column) =>
    Array.from({ length: down }, (_row, row): readonly Leaf[] => [{ column, row, up: 'inner', isTurned: false }]),
  );
  const stack = folds.reduce(folded, flat)[0]?.[0] ?? [];
  return [...stack].reverse().flatMap(({ column, row, up, isTurned }, i): readonly PagePlace[] => {
    const place = (form: PagePlace['form'], page: number): PagePlace => ({
      page,
      form,
      column: form === 'inner' ? column : across - 1 - column,
      row,
      isTurned,
      spine: page % 2 === 1 ? 'left' : 'right',
    });
    return [place(up, 2 * i + 1), place(up === 'inner' ? 'outer' : 'inner', 2 * i + 2)];
  });
}

/** How signatures make a book: one inside the other and stitched, or one behind the other and glued. */
export type Gathering = 'nested' | 'gathered';

/** A signature of a book: its scheme, and which page of the book each of its pages is. */
export interface BookSignature {
  readonly scheme: SignatureScheme;
  /** From 1; of the page of the signature with the number of its place. */
  readonly pages: readonly number[];
}

/**
 * The signatures of a book, the outermost or the first of it first.
 * @param pages how many the book has, a multiple of four
 * @param most  pages of the largest signature; what is left over is made of smaller ones
 */
export function bookSignatures(
  pages: number,
  most: SignatureScheme['pages'],
  gathering: Gathering,
): readonly BookSignature[] {
  const schemes = [...SIGNATURES].reverse().filter((scheme) => scheme.pages <= most);
  const list: SignatureScheme[] = [];
  let left = pages;
  for (const scheme of schemes)
    while (left >= scheme.pages) {
      list.push(scheme);
      left -= scheme.pages;
    }
  if (gathering === 'gathered') {
    let before = 0;
    return list.map((scheme) => {
      const own = Array.from({ length: scheme.pages }, (_, i) => before + i + 1);
      before += scheme.pages;
      return { scheme, pages: own };
    });
  }
  // Nested: each holds a half of its pages at the front of the book and a half at the back, around those within it.
  let outside = 0;
  return list.map((scheme) => {
    const half = scheme.pages / 2;
    const own = Array.from({ length: scheme.pages }, (_, i) =>
      i < half ? outside + i + 1 : pages - outside - scheme.pages + i + 1,
    );
    outside += half;
    return { scheme, pages: own };
  });
}

/**
 * How far a page of a stitched book is moved toward the fold, so that its outer margin is as wide as those of the
 * others once the book is trimmed: by a thickness for each sheet that lies around it [cp].
 * @param page from 1
 */
export const creepAt = (page: number, pages: number, caliper: Mm): Mm =>
  Math.floor((Math.min(page, pages + 1 - page) - 1) / 2) * caliper;
