import { RARE, exceededBy, inAThousand } from '../drift';
import { around, insets, moveTo, overlaps, type Rect } from '../layout';
import { typePoints } from './type-in';
import { framed, replace, writeIn, type Fix, type Framed, type Report, type Rule, type Subject } from './rule';

/** What has to be read or seen whole stands clear of what is drilled, on nearly every copy. */
export const holeDriftRule: Rule = {
  id: 'hole-drift',
  title: 'Hit by a hole',
  why:
    'A hole is made after cutting, laid against an edge that wanders, by a drill that wanders too. What stands close ' +
    'to it is hit on some copies.',
  check: (subject) => {
    const side = subject.drift();
    if (!side || side.holes.length === 0) return [];
    const offs = side.copies().map((copy) => copy.holes);
    return framed(subject).flatMap((laid): Report[] => {
      const ink = readBox(laid);
      if (!ink) return [];
      return side.holes.flatMap((hole): Report[] => {
        const hits = offs.map(({ x, y }) => overlaps({ ...hole, x: hole.x + x, y: hole.y + y }, ink));
        const chance = hits.filter(Boolean).length / hits.length;
        if (chance <= RARE) return [];
        const off = offs.map(({ x, y }) => Math.max(Math.abs(x), Math.abs(y)));
        const clear = exceededBy(off, RARE);
        const write = (mm: number) => writeIn(subject.job, mm * subject.blank.scale);
        const isIn = overlaps(hole, ink);
        return [
          {
            severity: isIn ? 'fault' : 'warning',
            element: laid.element.id,
            where: hole,
            copy: hits.indexOf(true),
            message:
              (isIn ? 'It stands where a hole is made. ' : `A hole hits it on ${inAThousand(chance)}. `) +
              `From ${write(rounded(clear))} off on it is one in a thousand.`,
            fixes: movedOff(subject, laid, ink, hole, rounded(clear)),
          },
        ];
      });
    });
  },
};

/** Up to the next tenth of a millimetre. */
const rounded = (mm: number): number => Math.ceil(mm * 10 - 1e-6) / 10;

/** What has to be seen whole: words, and things that are no ground the hole lies in. */
function readBox({ element, frame }: Framed): Rect | undefined {
  if (frame.items.length === 0) return undefined;
  if (element.kind === 'text') return frame.ink;
  const type = typePoints(frame.items);
  return type.length > 0 ? around(type) : undefined;
}

/** Moved the shortest way that leaves a hole clear. */
function movedOff(subject: Subject, { element, frame }: Framed, ink: Rect, hole: Rect, clear: number): readonly Fix[] {
  const { boxes } = subject.drawing;
  // By how much the words reach past each edge of the hole, and what is left of that beyond what stays clear.
  const past = insets(hole, ink);
  const { width, height } = hole;
  const ways = [
    { x: clear + width + past.left, y: 0 },
    { x: -(clear + width + past.right), y: 0 },
    { x: 0, y: clear + height + past.top },
    { x: 0, y: -(clear + height + past.bottom) },
  ]
    .map((by) => ({ ...by, far: Math.abs(by.x + by.y) }))
    .filter(({ x, y }) => {
      const to = { ...ink, x: ink.x + x, y: ink.y + y };
      return Object.values(insets(to, boxes.trim)).every((inside) => inside >= 0);
    })
    .sort((a, b) => a.far - b.far);
  const [way] = ways;
  if (!way) return [];
  const { rect } = frame;
  const to = { ...rect, x: rect.x + way.x, y: rect.y + way.y };
  const words = `Move it ${writeIn(subject.job, way.far * subject.blank.scale)} away`;
  return [replace(words, { ...element, placement: moveTo(element.placement, to, boxes, rect) })];
}
