import type { Drawing } from '../drawing';
import type { Element } from '../job';
import { areaOf, intersection, overlaps, type Landing, type Point, type Rect } from '../layout';
import { isGround } from './gestures';

/** What covers so much of the room lies beneath what comes, as a ground does [own]. */
const GROUND = 0.6;

/**
 * Where one looks: the panel there, within the safe distance of its edges and never across a fold; on a flat piece the
 * safe area. What stands there is not lain upon.
 * @param eye what is looked at, mm on the side; without it, the upper third of the room
 */
export function landingOn({ boxes, frames }: Drawing, eye?: Point): Landing {
  const { safe, trim, panels } = boxes;
  const middle = { x: safe.x + safe.width / 2, y: safe.y + safe.height / 3 };
  const panel = panels.length > 1 ? nearestOf(panels, eye ?? middle) : undefined;
  const room = panel ? shrunk(panel, Math.max(0, safe.x - trim.x)) : safe;
  const isBeneath = (rect: Rect) => areaOf(intersection(rect, room)) >= GROUND * areaOf(room);
  return {
    against: panel ? { box: 'panel', panel: panel.name } : { box: 'safe' },
    room,
    eye: eye ?? { x: room.x + room.width / 2, y: room.y + room.height / 3 },
    taken: frames.filter((frame) => !isGround(frame, boxes) && !isBeneath(frame.rect)).map(({ rect }) => rect),
  };
}

/**
 * The paragraph style that was used last in a place: that of the uppermost text there that has one.
 * @param elements what lies on the side
 */
export function styleUsedIn({ room }: Landing, { frames }: Drawing, elements: readonly Element[]): string | null {
  const styleOf = new Map(elements.flatMap((e) => (e.kind === 'text' && e.style !== null ? [[e.id, e.style]] : [])));
  const last = frames.findLast(({ element, rect }) => styleOf.has(element) && overlaps(rect, room));
  return (last && styleOf.get(last.element)) ?? null;
}

/** The box drawn in by a distance, or by a quarter of itself where that is less. */
function shrunk({ x, y, width, height }: Rect, by: number): Rect {
  const [across, down] = [Math.min(by, width / 4), Math.min(by, height / 4)];
  return { x: x + across, y: y + down, width: width - 2 * across, height: height - 2 * down };
}

/** The box that a point is in, or else the nearest one. */
function nearestOf<T extends Rect>(boxes: readonly T[], { x, y }: Point): T | undefined {
  const distance = (box: Rect) =>
    Math.hypot(Math.max(box.x - x, 0, x - box.x - box.width), Math.max(box.y - y, 0, y - box.y - box.height));
  return [...boxes].sort((a, b) => distance(a) - distance(b))[0];
}
