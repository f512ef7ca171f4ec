import { arcSegments, ellipsePath, KAPPA, type Path, type Point, type Segment } from '../geometry';
import type { Mm } from '../measure';
import type { LineStyle, Mark } from './mark';

/**
 * The moon as it looks from the northern half of the earth: what is dark of it filled, its rim drawn.
 * @param angle from new moon, degrees: 90 at the first quarter, 180 when it is full
 */
export function moonPicture(centre: Point, radius: Mm, angle: number, rim: LineStyle): readonly Mark[] {
  const turned = ((angle % 360) + 360) % 360;
  const whole: Mark = {
    kind: 'shape',
    path: ellipsePath({ x: centre.x - radius, y: centre.y - radius, width: 2 * radius, height: 2 * radius }),
    fill: null,
    stroke: rim,
  };
  const dark = darkPart(centre, radius, turned);
  return dark.length > 0 ? [{ kind: 'shape', path: dark, fill: rim.role, stroke: null }, whole] : [whole];
}

/** Waxing, the right is lit; waning, the left. The border of light is half an ellipse, cos of the angle wide. */
function darkPart({ x, y }: Point, r: Mm, angle: number): Path {
  const waxes = angle < 180;
  const reach = Math.cos((angle * Math.PI) / 180);
  // Nothing is dark of a full moon.
  if (reach < -0.9995) return [];
  const side = waxes ? -1 : 1;
  // Along the dark rim from the foot to the head, back along the border of light.
  const rim = arcSegments({ x, y }, r, 90, waxes ? 270 : -90);
  const bulge = -side * reach * r;
  const back: readonly Segment[] = [
    ['C', x + bulge * KAPPA, y - r, x + bulge, y - r * KAPPA, x + bulge, y],
    ['C', x + bulge, y + r * KAPPA, x + bulge * KAPPA, y + r, x, y + r],
  ];
  return [['M', x, y + r], ...rim, ...back, ['Z']];
}
