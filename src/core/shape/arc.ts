import type { FormOf } from '../element';
import { arcSegments, mapPath, type Path, type Rect } from '../layout';
import { onEllipse } from './polygon';

/** Part of the box’s ellipse, open, closed by its chord, or as a slice. */
export function arcPath(r: Rect, { from, sweep, ends }: FormOf<'arc'>): Path {
  const start = onEllipse(r, from);
  const centre = { x: r.x + r.width / 2, y: r.y + r.height / 2 };
  // Drawn on a circle and stretched: angles are those of the circle, clockwise from the top.
  const round = arcSegments({ x: 0, y: 0 }, 1, from - 90, from - 90 + sweep);
  const curve = mapPath(round, [r.width / 2, 0, 0, r.height / 2, centre.x, centre.y]);
  switch (ends) {
    case 'open':
      return [['M', start.x, start.y], ...curve];
    case 'chord':
      return [['M', start.x, start.y], ...curve, ['Z']];
    case 'pie':
      return [['M', centre.x, centre.y], ['L', start.x, start.y], ...curve, ['Z']];
  }
}
