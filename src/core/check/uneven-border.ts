import { borderOf, inAThousand } from '../drift';
import { edges, grow, moveTo, negated, type Rect } from '../layout';
import { replace, framed, writeIn, type Report, type Rule, type Subject } from './rule';
import type { Element } from '../job';

/** A border that the knife makes crooked on more than one copy in a thousand. */
export const unevenBorderRule: Rule = {
  id: 'uneven-border',
  title: 'A border the knife makes crooked',
  why:
    'Each cut wanders. Along a narrow border the eye sees it: what is too much on one side is missing on the other. ' +
    'A wider border hides it, and one that bleeds has none.',
  check: (subject) => {
    const { job, blank } = subject;
    const frames = framed(subject).filter(({ element, frame }) => frame.items.length > 0 && makesBorder(element));
    if (frames.length === 0) return [];
    const side = subject.drift();
    if (!side) return [];
    return frames.flatMap(({ element, frame }): Report[] => {
      const border = borderOf(side, frame.ink);
      if (!border || border.clearance <= border.width) return [];
      const { width, chance, clearance, worst } = border;
      const write = (mm: number) => writeIn(job, mm * blank.scale);
      return [
        {
          severity: 'warning',
          element: element.id,
          where: frame.ink,
          copy: worst.copy,
          message:
            `Its border of ${write(width)} is crooked on ${inAThousand(chance)}: at worst ${write(worst.narrow)} ` +
            `on one side and ${write(worst.wide)} across from it (${byWords(side.line.trimming.by)} to ` +
            `± ${write(side.line.trimming.figures.drift)}). From ${write(rounded(clearance))} on it is one in a ` +
            'thousand.',
          fixes: [drawnIn(subject, element, frame.rect, rounded(clearance) - width, write(rounded(clearance)))],
        },
      ];
    });
  },
};

/** What runs around a piece: a frame, an area, a picture. */
const makesBorder = ({ kind }: Element): boolean => kind === 'shape' || kind === 'picture';

const byWords = (by: string): string =>
  by === 'hem' ? 'the hem is sewn' : by === 'die' ? 'the die cuts' : 'the knife cuts';

/** Up to the next tenth of a millimetre. */
const rounded = (mm: number): number => Math.ceil(mm * 10 - 1e-6) / 10;

const drawnIn = ({ drawing }: Subject, element: Element, rect: Rect, by: number, width: string) =>
  replace(`Draw it in to ${width}`, {
    ...element,
    placement: moveTo(element.placement, grow(rect, negated(edges(by))), drawing.boxes, rect),
  });
