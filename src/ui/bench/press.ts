import { elementsOn } from '@/core/job';
import type { Frame } from '@/core/drawing';
import type { Matrix, Point, Rect } from '@/core/layout';
import { copyAt, framesAt, isGround, withGroupMates, type Handle } from '@/core/edit';
import type { Desk } from '../open-job/use-desk';

/** What the hand does while the pointer is held down. */
export type Gesture =
  | { readonly kind: 'pan' }
  | { readonly kind: 'marquee'; readonly from: Point; readonly add: boolean }
  | { readonly kind: 'move' }
  | { readonly kind: 'stretch'; readonly handle: Handle }
  | { readonly kind: 'turn' }
  /** The content of a picture within its frame. */
  | { readonly kind: 'frame'; readonly id: string };

/** What a press begins. */
export interface Begun {
  readonly gesture: Gesture;
  /** Selected at once. */
  readonly select?: readonly string[];
  /** Selected when it turns out to be a click. */
  readonly click?: readonly string[];
  /** The copy that was taken hold of, as the map from its element. */
  readonly copy?: Matrix | undefined;
}

/** Where the bench is pressed, and what is held down meanwhile. */
export interface PressFacts {
  readonly desk: Desk;
  /** On the surface, mm. */
  readonly here: Point;
  /** How near counts as on it, mm. */
  readonly reach: number;
  readonly shiftKey: boolean;
  readonly altKey: boolean;
  readonly selection: readonly string[];
}

/** Elements that are chosen with what was chosen before. */
const joined = (before: readonly string[], more: readonly string[]): readonly string[] => [
  ...new Set([...before, ...more]),
];

/** The frames under the pointer, and the one that a press means. */
function hitAt({ desk, here, reach, altKey, selection }: PressFacts) {
  const pile = framesAt(desk.drawing, here, reach);
  // Alt goes through the pile: what lies under the selected one comes next.
  const under = pile.findIndex((f) => selection.includes(f.element));
  const hit = altKey && under >= 0 ? (pile[under + 1] ?? pile[0]) : pile[0];
  return { pile, hit };
}

/** A press where things can be chosen and nothing be moved: a click chooses, a drag pans. */
export function pressToSelect(facts: PressFacts): Begun {
  const { hit } = hitAt(facts);
  const click = hit ? (facts.shiftKey ? joined(facts.selection, [hit.element]) : [hit.element]) : [];
  return { gesture: { kind: 'pan' }, click };
}

/** A press where things are laid out. @param framing the picture whose content is moved within its frame */
export function pressToEdit(facts: PressFacts, framing: string | undefined): Begun {
  const { desk, here, reach, shiftKey: add, altKey, selection } = facts;
  const { pile, hit } = hitAt(facts);
  if (framing !== undefined && pile.some((f) => f.element === framing))
    return { gesture: { kind: 'frame', id: framing } };
  const marquee: Gesture = { kind: 'marquee', from: here, add };
  if (!hit) return { gesture: marquee, click: add ? selection : [] };
  const isSelected = selection.includes(hit.element);
  // A background is selected by a click, but a drag that begins on it draws a marquee.
  if (isGround(hit, desk.drawing.boxes) && !isSelected)
    return { gesture: marquee, click: add ? [...selection, hit.element] : [hit.element] };
  const mates = matesOf(hit, desk, altKey);
  const move = { gesture: { kind: 'move' }, copy: copyAt(hit, here, reach) } as const;
  if (add)
    return { ...move, select: isSelected ? selection.filter((id) => !mates.includes(id)) : joined(selection, mates) };
  return {
    ...move,
    ...(!isSelected || altKey ? { select: mates } : {}),
    ...(isSelected ? { click: mates } : {}),
  };
}

/** A group is chosen as one; with Alt the element by itself. */
const matesOf = (hit: Frame, { piece, surface }: Desk, alone: boolean): readonly string[] =>
  alone ? [hit.element] : withGroupMates(elementsOn(piece, surface.name), [hit.element]);

/** The box between two corners, whichever of them lies where. */
export const boxBetween = (a: Point, b: Point): Rect => ({
  x: Math.min(a.x, b.x),
  y: Math.min(a.y, b.y),
  width: Math.abs(a.x - b.x),
  height: Math.abs(a.y - b.y),
});
