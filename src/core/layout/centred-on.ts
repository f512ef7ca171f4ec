import type { Point, Rect } from '../geometry';

const half = (mm: number): number => Math.round(mm * 2) / 2;

/** A box around a point, on half millimetres: what is new has round figures. */
export const centredOn = (point: Point, width: number, height: number): Rect => ({
  x: half(point.x - width / 2),
  y: half(point.y - height / 2),
  width: half(width),
  height: half(height),
});
