import { elementsOf } from '../job';
import type { Rule } from './rule';

/** A printed side with nothing on it is paid for twice. */
export const emptyPageRule: Rule = {
  id: 'empty-page',
  title: 'Empty side',
  why: 'A side that is declared printed is plated and priced, and an empty one is usually a forgotten one.',
  check: ({ drawing, side, piece, blank }) => {
    const nothingYet = elementsOf(piece).length === 0;
    // A piece on which nothing was laid yet is said to be empty once, not for each of its pages.
    if (nothingYet && blank.surfaces.length > 2 && side !== blank.surfaces[0]?.name) return [];
    if (drawing.frames.some((f) => f.items.length > 0) || drawing.repeated.length > 0) return [];
    // A sheet that repeats another surface is empty when that one is, which is said there.
    if (blank.surfaces.some((s) => s.name === side && s.repeats)) return [];
    return [
      {
        severity: 'warning',
        element: null,
        where: drawing.boxes.trim,
        message:
          nothingYet && blank.surfaces.length > 2
            ? `Nothing is printed on any of its ${blank.surfaces.length} sides yet.`
            : `Nothing is printed on ${/^(page|month) /.test(side) ? '' : 'the '}${side}.`,
        fixes:
          side === 'back' && typeof piece['sides'] === 'number'
            ? [{ label: 'Print one side only', change: { kind: 'sides', piece: piece.id, sides: 1 } }]
            : [],
      },
    ];
  },
};
