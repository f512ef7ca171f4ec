import type { Rule } from './rule';

/** A printed side with nothing on it is paid for twice. */
export const emptyPageRule: Rule = {
  id: 'empty-page',
  title: 'Empty side',
  why: 'A side that is declared printed is plated and priced, and an empty one is usually a forgotten one.',
  check: ({ drawing, side, piece }) => {
    if (drawing.frames.some((f) => f.items.length > 0)) return [];
    return [
      {
        severity: 'warning',
        element: null,
        where: drawing.boxes.trim,
        message: `Nothing is printed on the ${side}.`,
        fixes:
          side === 'back'
            ? [{ label: 'Print one side only', change: { kind: 'sides', piece: piece.id, sides: 1 } }]
            : [],
      },
    ];
  },
};
