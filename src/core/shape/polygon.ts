import { polygonPath, type Path, type Point, type Rect } from '../layout';

/** The point of the box’s ellipse at degrees clockwise from the top, or at a share of the way out to it. */
export const onEllipse = (r: Rect, degrees: number, out = 1): Point => {
  const angle = (degrees * Math.PI) / 180;
  return {
    x: r.x + r.width / 2 + (Math.sin(angle) * r.width * out) / 2,
    y: r.y + r.height / 2 - (Math.cos(angle) * r.height * out) / 2,
  };
};

/** A polygon with its corners evenly on the box’s ellipse, the first at the top. */
export const regularPolygon = (r: Rect, sides: number): Path =>
  polygonPath(Array.from({ length: sides }, (_, i) => onEllipse(r, (i * 360) / sides)));

/**
 * A star: outer corners as of a polygon, an inner one between each two.
 * @param inner share of the way out at which the inner corners lie
 */
export const starPath = (r: Rect, points: number, inner: number): Path =>
  polygonPath(Array.from({ length: points * 2 }, (_, i) => onEllipse(r, (i * 180) / points, i % 2 === 0 ? 1 : inner)));
