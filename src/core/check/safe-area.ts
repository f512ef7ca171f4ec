import type { Element } from '../job';
import { EDGE_NAMES, TOUCH, insets, moveTo, overlaps, type Rect } from '../layout';
import type { Mm } from '../measure';
import { cutInto } from './cut-chance';
import { typeIn } from './type-in';
import { framed, replace, writeIn, type Report, type Rule, type Subject } from './rule';

/** Curves and serifs reach a hair past the edge that their line is set to, mm [cp]. */
const OVERHANG = 0.5;

/** What a reader must see whole has to stay clear of the knife; a shadow or a glow may run off. */
export const safeAreaRule: Rule = {
  id: 'safe-area',
  title: 'Too near the knife',
  why: 'Cutting and folding wander. What stands in the rim may be cut into, or look crooked beside the edge.',
  check: (subject) =>
    framed(subject).flatMap(({ element, frame }) => {
      const { boxes } = subject.drawing;
      if (frame.items.length === 0 || !overlaps(frame.ink, boxes.trim)) return [];
      const past = (ink: Rect, slack: Mm) => EDGE_NAMES.filter((edge) => insets(ink, boxes.safe)[edge] < -slack);
      const reaches = EDGE_NAMES.some((edge) => insets(frame.ink, boxes.trim)[edge] < 1);
      // A background or a picture that reaches the trim belongs there; type never does, in whatever it stands.
      const type = element.kind === 'text' ? frame.ink : reaches ? typeIn(frame.items) : undefined;
      if (!type && reaches) return [];
      const ink = type ?? frame.ink;
      const edges = past(ink, type ? OVERHANG : TOUCH);
      return edges.length > 0
        ? [report(subject, element, { rect: frame.rect, ink, isType: type !== undefined }, edges)]
        : [];
    }),
};

/** What stands too near: the whole of an element, or the type in it. */
interface Standing {
  readonly rect: Rect;
  readonly ink: Rect;
  readonly isType: boolean;
}

function report(
  subject: Subject,
  element: Element,
  { rect, ink: bounds, isType }: Standing,
  past: readonly (typeof EDGE_NAMES)[number][],
): Report {
  const { boxes } = subject.drawing;
  const toTrim = insets(bounds, boxes.trim);
  const words = past.map((edge) => {
    const mm = toTrim[edge] * subject.blank.scale;
    if (mm < 0) return `cut at the ${edge} edge`;
    return (
      `${writeIn(subject.job, mm)} from the ${edge} trim (${writeIn(subject.job, subject.blank.safe[edge])} ` +
      `wanted${cutInto(subject, edge, toTrim[edge])})`
    );
  });
  const moved = into(rect, bounds, boxes.safe);
  return {
    severity: isType ? 'fault' : 'warning',
    element: element.id,
    where: bounds,
    message: `${isType ? 'Type is' : 'It is'} ${words.join(', ')}.`,
    fixes: moved
      ? [replace('Move it inside', { ...element, placement: moveTo(element.placement, moved, boxes, rect) })]
      : [],
  };
}

/**
 * The rectangle shifted by the least that brings its ink inside the box; undefined when the ink is larger than the box.
 */
function into(rect: Rect, bounds: Rect, box: Rect): Rect | undefined {
  if (bounds.width > box.width + TOUCH || bounds.height > box.height + TOUCH) return undefined;
  const shift = (at: number, size: number, from: number, room: number) =>
    Math.max(from - at, 0) + Math.min(from + room - at - size, 0);
  return {
    ...rect,
    x: rect.x + shift(bounds.x, bounds.width, box.x, box.width),
    y: rect.y + shift(bounds.y, bounds.height, box.y, box.height),
  };
}
