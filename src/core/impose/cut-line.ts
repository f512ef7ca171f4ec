import type { Point } from '../geometry';
import type { Cut } from './cutting';

/** Where the knife falls, mm on the flat sheet. */
export function cutLine({ lies: { x, y, width, height }, gauge, edge }: Cut): readonly [Point, Point] {
  switch (edge) {
    case 'left':
      return [
        { x: x + gauge, y },
        { x: x + gauge, y: y + height },
      ];
    case 'right':
      return [
        { x: x + width - gauge, y },
        { x: x + width - gauge, y: y + height },
      ];
    case 'top':
      return [
        { x, y: y + gauge },
        { x: x + width, y: y + gauge },
      ];
    case 'bottom':
      return [
        { x, y: y + height - gauge },
        { x: x + width, y: y + height - gauge },
      ];
  }
}
