import { TOUCH, edges, grow, insets, negated, overlaps } from '../layout';
import { framed, noted, writeIn, type Report, type Rule } from './rule';

/** Nothing stands in what has to stay white around a code, and no knife comes near it. */
export const codeQuietRule: Rule = {
  id: 'code-quiet',
  title: 'No white around a code',
  why: 'A reader finds where a code begins by the white before it. Type, a frame or an edge in it, and it is not read.',
  check: (subject) => {
    const codes = noted(subject, 'code');
    if (codes.length === 0) return [];
    const all = framed(subject);
    const { trim } = subject.drawing.boxes;
    return codes.flatMap(({ note, element, frame }): readonly Report[] => {
      if (element.kind !== 'code' || element.placement.rotate % 90 !== 0) return [];
      // Turned by quarters its box is as it is seen.
      const whole = element.placement.rotate % 180 === 0 ? note.whole : frame.bounds;
      const own = all.findIndex((one) => one.element.id === element.id);
      const inside = grow(whole, negated(edges(0.05)));
      const above = all.filter(
        (other, i) => other.frame.items.length > 0 && i > own && overlaps(other.frame.ink, inside),
      );
      const beneath =
        element.ground === null
          ? all.filter(
              (other, i) =>
                i < own &&
                other.frame.items.length > 0 &&
                overlaps(other.frame.ink, inside) &&
                // A ground that goes on beneath all of it is no mistake.
                Object.values(insets(whole, other.frame.ink)).some((mm) => mm < -TOUCH),
            )
          : [];
      const met = [...above, ...beneath].map((other) => `“${other.frame.name}”`);
      const cut = Object.values(insets(whole, trim)).some((mm) => mm < -TOUCH);
      if (met.length === 0 && !cut) return [];
      const words = [
        ...(met.length > 0 ? [`${met.slice(0, 3).join(', ')} ${met.length === 1 ? 'stands' : 'stand'} in it`] : []),
        ...(cut ? ['it reaches over the trim'] : []),
      ];
      return [
        {
          severity: 'fault',
          element: element.id,
          where: whole,
          message:
            `${writeIn(subject.job, whole.width)} × ${writeIn(subject.job, whole.height)} with its white around: ` +
            `${words.join('; ')}.`,
        },
      ];
    });
  },
};
