import { z } from 'zod';
import { withPiece, type Piece } from '../../job';
import { fillPages } from '../fill-pages';
import { facingOf, pageName } from '../../format';
import { freshId } from '../new-element';
import { changePiece, pieceOf } from '../on-side';
import {
  pageCount,
  withBase,
  withNewBase,
  withoutBase,
  withoutPages,
  withPagesDuplicated,
  withPagesInserted,
  withPagesMoved,
  type PageRange,
} from '../pages';
import { CannotChange, defineChange } from './change';
import { Side, sideOf } from './pick';

const Page = z.int().min(1);
const RANGE = { from: Page, to: Page };

/** A range that the piece has. @throws CannotChange */
function rangeOf(piece: Piece, { from, to }: PageRange): PageRange {
  const count = pageCount(piece);
  if (count === undefined) throw new CannotChange('This kind of piece has no pages.');
  if (from > to || to > count) throw new CannotChange(`There are pages 1 to ${count}; ${from} to ${to} are not.`);
  return { from, to };
}

export const pageChanges = [
  defineChange({
    do: 'insert pages',
    about: 'Puts empty pages before a page.',
    fields: { before: Page, count: Page },
    example: { before: 3, count: 4 },
    run: ({ job }, { before, count }) => changePiece(job, (piece) => withPagesInserted(job, piece, before, count)),
  }),
  defineChange({
    do: 'move pages',
    about: 'Moves pages so that they come before another.',
    fields: { ...RANGE, before: Page },
    example: { from: 3, to: 4, before: 7 },
    run: ({ job }, { before, ...range }) =>
      changePiece(job, (piece) => withPagesMoved(piece, rangeOf(piece, range), before)),
  }),
  defineChange({
    do: 'duplicate pages',
    about: 'Lays pages again after the last of them.',
    fields: RANGE,
    example: { from: 1, to: 4 },
    run: ({ job }, range) =>
      changePiece(job, (piece) => withPagesDuplicated(job, piece, rangeOf(piece, range), freshId)),
  }),
  defineChange({
    do: 'remove pages',
    about: 'Takes pages off, with what lies on them.',
    fields: RANGE,
    example: { from: 5, to: 8 },
    run: ({ job }, range) => changePiece(job, (piece) => withoutPages(job, piece, rangeOf(piece, range))),
  }),
  defineChange({
    do: 'new layout',
    about: 'Makes a layout that pages can follow; with a side given, what lies there becomes the layout’s.',
    fields: { name: z.string().min(1).max(60), from: Side.optional() },
    example: { name: 'Left and right', from: 'page 2' },
    run: ({ job }, { name, from }) =>
      changePiece(
        job,
        (piece) => withNewBase(piece, name, from === undefined ? from : sideOf(job, from), freshId).piece,
      ),
  }),
  defineChange({
    do: 'follow layout',
    about: 'Lets sides follow a layout, by its name or id; null lets them go.',
    fields: { sides: z.array(Side).min(1), layout: z.string().nullable() },
    example: { sides: ['page 3', 'page 4'], layout: 'Left and right' },
    run: ({ job }, { sides, layout }) => {
      const base = layout === null ? null : baseOf(pieceOf(job), layout);
      return changePiece(job, (piece) =>
        withBase(
          piece,
          sides.map((side) => sideOf(job, side)),
          base,
          freshId,
        ),
      );
    },
  }),
  defineChange({
    do: 'remove layout',
    about: 'Takes a layout off; pages keep what it gave them.',
    fields: { layout: z.string() },
    example: { layout: 'Left and right' },
    run: ({ job }, { layout }) => changePiece(job, (piece) => withoutBase(piece, baseOf(piece, layout), freshId)),
  }),
  defineChange({
    do: 'fill pages',
    about: 'Lays rows onto pages: each cell into the text that is named as its column, in the first row.',
    fields: {
      rows: z.array(z.array(z.string())).min(2),
      page: Page.default(1),
      spreads: z.boolean().default(false).describe('A row on each two pages.'),
    },
    example: {
      rows: [
        ['Title', 'Words'],
        ['Saturn', 'Rings in August'],
      ],
      page: 2,
    },
    run: ({ job }, { rows: [head = [], ...rows], page, spreads }) => {
      const sets = rows.map((_, i) => {
        const side = pageName(page + i * (spreads ? 2 : 1));
        return spreads ? [side, facingOf(side) ?? side] : [side];
      });
      for (const side of sets.flat()) sideOf(job, side);
      return withPiece(job, fillPages(pieceOf(job), sets, { head, rows }, new Map()).piece);
    },
  }),
];

/** A layout of the piece by its name or id. @throws CannotChange */
function baseOf(piece: Piece, name: string): string {
  const found = piece.bases.find((b) => b.id === name || b.name === name);
  if (found) return found.id;
  throw new CannotChange(`There is no layout “${name}”.`);
}
