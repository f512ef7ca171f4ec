import type { RibbonEnd } from '../element';
import { polygonPath, type Path, type Point, type Rect } from '../layout';
import type { Mm } from '../measure';

/**
 * A ribbon across its box. Its ends are as deep as given whatever its length, so that a shortened ribbon keeps their
 * form; both together never take more than its length.
 */
export function ribbonPath(r: Rect, left: RibbonEnd, right: RibbonEnd, depth: Mm): Path {
  const shaped = [left, right].filter((end) => end !== 'flat').length;
  const d = shaped > 0 ? Math.min(depth, r.width / shaped) : 0;
  const middle = r.y + r.height / 2;
  const [top, bottom] = [r.y, r.y + r.height];
  /** @param edge where the end lies @param inward which way the ribbon is: 1 to the right */
  const end = (kind: RibbonEnd, edge: Mm, inward: 1 | -1): readonly Point[] => {
    switch (kind) {
      case 'flat':
        return [
          { x: edge, y: top },
          { x: edge, y: bottom },
        ];
      case 'notched':
        return [
          { x: edge, y: top },
          { x: edge + inward * d, y: middle },
          { x: edge, y: bottom },
        ];
      case 'pointed':
        return [
          { x: edge + inward * d, y: top },
          { x: edge, y: middle },
          { x: edge + inward * d, y: bottom },
        ];
    }
  };
  return polygonPath([...end(right, r.x + r.width, -1), ...[...end(left, r.x, 1)].reverse()]);
}
