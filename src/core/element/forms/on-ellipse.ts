import type { Point, Rect } from '../../geometry';

/** The point of the box’s ellipse at degrees clockwise from the top, or at a share of the way out to it. */
export const onEllipse = (r: Rect, degrees: number, out = 1): Point => {
  const angle = (degrees * Math.PI) / 180;
  return {
    x: r.x + r.width / 2 + (Math.sin(angle) * r.width * out) / 2,
    y: r.y + r.height / 2 - (Math.cos(angle) * r.height * out) / 2,
  };
};
