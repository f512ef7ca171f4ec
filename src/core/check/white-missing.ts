import type { Rule } from './rule';

/** How far white stays back beneath the artwork, so that it does not look out at its edges, mm [cp]. */
const CHOKE = 0.1;

/** On clear film process inks are like stained glass: without white beneath them they vanish against anything dark. */
export const whiteMissingRule: Rule = {
  id: 'white-missing',
  title: 'No white beneath',
  why: 'Process inks are transparent. On clear film they are seen only where white lies beneath them.',
  check: ({ job, piece, side, drawing }) => {
    const isPrinted = drawing.frames.some((f) => f.items.length > 0);
    if (job.stock.clear !== true || !isPrinted || drawing.coats.some((c) => c.coating === 'white')) return [];
    const finishing = { does: 'coat', id: 'white', coating: 'white', of: { from: 'artwork' }, spread: -CHOKE } as const;
    return [
      {
        severity: 'fault',
        element: null,
        where: drawing.boxes.trim,
        message: 'The stock is clear, and no white is printed beneath the artwork.',
        fixes: [
          {
            label: `White beneath all that is printed, choked by ${CHOKE} mm`,
            change: { kind: 'add-finishing', piece: piece.id, side, finishing },
          },
        ],
      },
    ];
  },
};
