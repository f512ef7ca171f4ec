import type { Point, Rect } from '../geometry';
import type { BoxRef } from '../element';
import type { SurfaceBoxes } from './boxes';
import { TOUCH } from './place';

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

/** What a thing may become where there is no room for it as large as it is: shares of its size [own]. */
const SMALLER = [1, 3 / 4, 1 / 2, 1 / 3];

/** How many places beside what is there are tried in each direction, from the nearest on. */
const TRIED = 40;

interface Size {
  readonly width: number;
  readonly height: number;
}

/**
 * The place of a thing of a size: about the eye, in the room, and not on top of what is there; it moves down, or else
 * up, to the nearest stretch that is free, or else to the side. Where none is, it lies on top after all.
 * @param size mm
 */
export const landed = (landing: Landing, size: Size): Rect => freePlace(landing, size) ?? wantedPlace(landing, size);

/** The same for what may be smaller: as large as there is room for, down to a third. */
export function landedSmaller(landing: Landing, { width, height }: Size): Rect {
  for (const share of SMALLER) {
    const free = freePlace(landing, { width: width * share, height: height * share });
    if (free) return free;
  }
  return wantedPlace(landing, { width, height });
}

/** About the eye, in the room, whatever is there. */
const wantedPlace = ({ room, eye }: Landing, { width, height }: Size): Rect => ({
  x: clamp(eye.x - width / 2, room.x, room.x + room.width - width),
  y: clamp(eye.y - height / 2, room.y, room.y + room.height - height),
  width,
  height,
});

/** The nearest place that nothing stands on; undefined where the room is full. */
export function freePlace(landing: Landing, size: Size): Rect | undefined {
  const { room, taken } = landing;
  const wanted = wantedPlace(landing, size);
  const right = room.x + room.width - size.width;
  const bottom = room.y + room.height - size.height;
  const isFree = ({ x, y }: Point) =>
    x >= room.x - TOUCH &&
    x <= right + TOUCH &&
    y >= room.y - TOUCH &&
    y <= bottom + TOUCH &&
    taken.every((rect) => isApart(rect, { ...wanted, x, y }));
  if (isFree(wanted)) return wanted;
  const away = ({ x, y }: Point) => Math.hypot(x - wanted.x, y - wanted.y);
  const nearest = (places: readonly Point[]) => [...places].sort((a, b) => away(a) - away(b)).find(isFree);
  const below = taken.map((r) => r.y + r.height + GAP);
  const above = taken.map((r) => r.y - GAP - size.height);
  const inColumn = (ys: readonly number[]) => nearest(ys.map((y) => ({ x: wanted.x, y })));
  const anywhere = () => {
    const xs = [room.x, right, ...taken.flatMap((r) => [r.x + r.width + GAP, r.x - GAP - size.width])];
    const ys = [wanted.y, room.y, bottom, ...below, ...above];
    const across = closest(xs, wanted.x);
    return nearest(closest(ys, wanted.y).flatMap((y) => across.map((x) => ({ x, y }))));
  };
  const free = inColumn(below.filter((y) => y > wanted.y)) ?? inColumn(above) ?? anywhere();
  return free && { ...wanted, ...free };
}

/** The numbers that are nearest to one, each once. */
const closest = (list: readonly number[], to: number): readonly number[] =>
  [...new Set(list)].sort((a, b) => Math.abs(a - to) - Math.abs(b - to)).slice(0, TRIED);

/** Whether two boxes lie beside each other. What has no height of its own, as a line, still keeps things off. */
const isApart = (a: Rect, b: Rect): boolean =>
  a.x >= b.x + b.width || a.x + a.width <= b.x || a.y >= b.y + b.height || a.y + a.height <= b.y;

/** Kept between two bounds; where there is no room between them, at the first. */
const clamp = (value: number, least: number, most: number): number => Math.max(least, Math.min(value, most));
