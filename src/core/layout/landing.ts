import { overlaps, type Point, type Rect } from '../geometry';
import type { BoxRef } from '../element';
import type { SurfaceBoxes } from './boxes';

/** Where a new thing lands: what it is held against, the room for it there, and the middle that is wanted for it. */
export interface Landing {
  readonly against: BoxRef;
  readonly room: Rect;
  readonly eye: Point;
  /** What stands there already. */
  readonly taken: readonly Rect[];
}

/** Between a new thing and what it stands below, mm [own]. */
const GAP = 3;

/** A safe area with nothing in it. @param down how far down one looks, as a share of its height */
export const landingOnBare = ({ safe }: SurfaceBoxes, down = 1 / 3): Landing => ({
  against: { box: 'safe' },
  room: safe,
  eye: { x: safe.x + safe.width / 2, y: safe.y + safe.height * down },
  taken: [],
});

/** What is dropped lies where it falls, whatever is there. */
export const landingAt = ({ bleed }: SurfaceBoxes, eye: Point): Landing => ({
  against: { box: 'safe' },
  room: bleed,
  eye,
  taken: [],
});

/**
 * The place of a thing of a size: about the eye, in the room, and not on top of what is there; it moves down, or else
 * up, to the nearest stretch that is free. Where none is, it lies on top after all.
 * @param size mm
 */
export function landed({ room, eye, taken }: Landing, size: { readonly width: number; readonly height: number }): Rect {
  const { width, height } = size;
  const bottom = room.y + room.height - height;
  const x = clamp(eye.x - width / 2, room.x, room.x + room.width - width);
  const wanted = clamp(eye.y - height / 2, room.y, bottom);
  const at = (y: number): Rect => ({ x, y, width, height });
  // What has no height of its own, as a line, still keeps things off.
  const beside = taken.filter((rect) => overlaps({ ...rect, y: 0, height: 1 }, { x, y: 0, width, height: 1 }));
  const isFree = (y: number) =>
    y >= room.y && y <= bottom && beside.every((rect) => rect.y >= y + height || rect.y + rect.height <= y);
  const nearest = (list: readonly number[]) =>
    [...list].sort((a, b) => Math.abs(a - wanted) - Math.abs(b - wanted)).find(isFree);
  if (isFree(wanted)) return at(wanted);
  const below = nearest(beside.map((r) => r.y + r.height + GAP).filter((y) => y > wanted));
  return at(below ?? nearest(beside.map((r) => r.y - GAP - height)) ?? wanted);
}

/** Kept between two bounds; where there is no room between them, at the first. */
const clamp = (value: number, least: number, most: number): number => Math.max(least, Math.min(value, most));
