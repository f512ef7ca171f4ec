import { elementsOn } from '../job';
import type { Rule } from './rule';

/** A printed side with nothing on it is paid for twice. */
export const emptyPageRule: Rule = {
  id: 'empty-page',
  title: 'Empty side',
  why: 'A side that is declared printed is plated and priced, and an empty one is usually a forgotten one.',
  check: ({ drawing, side, piece, blank }) => {
    const bare = blank.surfaces.filter((s) => !s.repeats && elementsOn(piece, s.name).length === 0).map((s) => s.name);
    // Many empty sides are said once, not for each of them.
    const isMany = bare.length > 2;
    if (isMany && bare.includes(side) && side !== bare[0]) return [];
    if (drawing.frames.some((f) => f.items.length > 0) || drawing.repeated.length > 0) return [];
    // A sheet that repeats another surface is empty when that one is, which is said there.
    if (blank.surfaces.some((s) => s.name === side && s.repeats)) return [];
    return [
      {
        severity: 'warning',
        element: null,
        where: drawing.boxes.trim,
        message: isMany
          ? `Nothing is printed on ${bareWords(bare.length, blank.surfaces.length, side)}.`
          : `Nothing is printed on ${/^(page|month) /.test(side) ? '' : 'the '}${side}.`,
        fixes:
          side === 'back' && typeof piece.decisions['sides'] === 'number'
            ? [{ label: 'Print one side only', change: { kind: 'sides', piece: piece.id, sides: 1 } }]
            : [],
      },
    ];
  },
};

const bareWords = (bare: number, all: number, first: string): string =>
  bare === all ? `any of its ${bare} sides yet` : `${bare} of its ${all} sides, of which ${first} is the first`;
