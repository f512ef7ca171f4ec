import type { Frame } from '../drawing';
import { RARE, exceededBy, inAThousand } from '../drift';
import { EDGE_NAMES, edges, grow, insets, moveTo, negated, type Rect } from '../layout';
import { opacityOf } from '../shop';
import { framed, replace, writeIn, type Report, type Rule, type Subject } from './rule';

/** Edges nearer to each other than this are meant to fall together, mm [own]. */
const TOGETHER = 0.3;
/** A rim that is narrower is not seen, mm [own]. */
const SEEN = 0.5;
/** From so much on what lies on the back is seen from the front, percent [cp]. */
const THROUGH = 5;

/** How far front and back lie off each other, copy by copy, mm; undefined where it is not seen, or hardly ever. */
export function seenBackDrift(subject: Subject): readonly number[] | undefined {
  const side = subject.back && subject.drift();
  // Said once of both: on the front.
  if (!side || side.isBack || 100 - opacityOf(subject.job.stock).percent < THROUGH) return undefined;
  const offs = side.copies().map((copy) => Math.hypot(copy.back.x, copy.back.y));
  return offs.filter((off) => off > SEEN).length / offs.length > RARE ? offs : undefined;
}

/** Two areas that are meant to cover each other, on paper that lets one see through. */
export const backDriftRule: Rule = {
  id: 'back-drift',
  title: 'Front and back do not fall together',
  why:
    'The back is printed in a pass of its own. Two areas of one size, one behind the other, show a rim where paper ' +
    'lets light through. One of them a little smaller hides it.',
  check: (subject) => {
    const { job, blank, drawing, back } = subject;
    const offs = seenBackDrift(subject);
    if (!back || !offs) return [];
    const behind = back.frames.filter(isArea).map((frame) => ({ frame, box: mirrored(frame.ink, drawing.boxes.trim) }));
    if (behind.length === 0) return [];
    const write = (mm: number) => writeIn(job, mm * blank.scale);
    return framed(subject).flatMap(({ element, frame }): Report[] => {
      // What covers the whole side has its edges cut away.
      if (!isArea(frame) || EDGE_NAMES.every((edge) => insets(frame.ink, drawing.boxes.trim)[edge] <= 0)) return [];
      const other = behind.find(({ box }) => EDGE_NAMES.every((e) => Math.abs(insets(box, frame.ink)[e]) <= TOGETHER));
      if (!other) return [];
      const seen = offs.filter((off) => off > SEEN).length / offs.length;
      const by = Math.ceil(exceededBy(offs, RARE) * 10) / 10;
      const { rect } = frame;
      const fits = rect.width > 2 * by && rect.height > 2 * by;
      const smaller = moveTo(element.placement, grow(rect, negated(edges(by))), drawing.boxes, rect);
      return [
        {
          severity: 'note',
          element: element.id,
          where: frame.ink,
          copy: offs.indexOf(Math.max(...offs)),
          message:
            `“${other.frame.name}” on the ${back.surface} lies exactly behind it: on ${inAThousand(seen)} it is more ` +
            `than ${write(SEEN)} off, and the paper lets it show.`,
          fixes: fits ? [replace(`Draw it in by ${write(by)}`, { ...element, placement: smaller })] : [],
        },
      ];
    });
  },
};

const isArea = ({ kind, items }: Frame): boolean => (kind === 'shape' || kind === 'picture') && items.length > 0;

/** As seen through the paper: left and right change places. */
const mirrored = (box: Rect, trim: Rect): Rect => ({ ...box, x: trim.width - box.x - box.width });
