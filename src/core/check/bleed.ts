import { leavesOf, type Frame } from '../drawing';
import { EDGE_NAMES, TOUCH, insets, IDENTITY, isUpright, mappedBounds, type Rect } from '../layout';
import { paperShows } from './cut-chance';
import { laidOn, reachesOut, stretched, type Reaching } from './reaching';
import { framed, replace, writeIn, type Report, type Rule, type Subject } from './rule';

/** An edge that stops this close inside the trim was meant to reach it, mm [cp]. */
const MEANT = 1;

/** A background or a picture has to run out to the bleed wherever it reaches the trim. */
export const bleedRule: Rule = {
  id: 'bleed',
  title: 'Stops at the trim',
  why: 'The knife wanders by up to a millimetre. Where ink stops at the trim, a white hairline of paper shows.',
  check: (subject) =>
    framed(subject).flatMap(({ element, frame }) =>
      reachesOut(element) ? [...shortEdges(subject, element, frame.rect), ...uncovered(subject, element, frame)] : [],
    ),
};

function shortEdges(subject: Subject, element: Reaching, rect: Rect): Report[] {
  if (!isUpright(element.placement)) return [];
  const { boxes } = subject.drawing;
  const toTrim = insets(rect, boxes.trim);
  const toBleed = insets(rect, boxes.bleed);
  const held = EDGE_NAMES.filter(
    (edge) => Math.abs(toTrim[edge]) <= TOUCH && toBleed[edge] > TOUCH && element.atTrim === 'stops',
  );
  const short = EDGE_NAMES.filter(
    (edge) => (toTrim[edge] > TOUCH && toTrim[edge] < MEANT) || (toTrim[edge] < -TOUCH && toBleed[edge] > TOUCH),
  );
  const reports: Report[] = [];
  if (held.length > 0) {
    reports.push({
      severity: 'fault',
      element: element.id,
      where: rect,
      message:
        `Stops at the trim on the ${list(held)} edge${held.length > 1 ? 's' : ''}; it has to run ` +
        `${writeIn(subject.job, toBleed[held[0] ?? 'top'])} further${paperShows(subject, held[0] ?? 'top', 0)}.`,
      fixes: [replace('Let it bleed', { ...element, atTrim: 'bleeds' })],
    });
  }
  if (short.length > 0) {
    const words = short.map((edge) => {
      const mm = toTrim[edge];
      return mm > 0
        ? `${writeIn(subject.job, mm)} before the ${edge} trim`
        : `${writeIn(subject.job, -mm)} past the ${edge} trim, inside the bleed${paperShows(subject, edge, -mm)}`;
    });
    const onTrim = stretched(rect, Object.fromEntries(short.map((edge) => [edge, toTrim[edge]])));
    reports.push({
      severity: 'fault',
      element: element.id,
      where: rect,
      message: `Ends ${words.join(' and ')}.`,
      fixes: [laidOn('Bring it to the trim', subject, element, rect, onTrim, { atTrim: 'bleeds' })],
    });
  }
  return reports;
}

/** A picture that leaves part of its bleeding frame empty. */
function uncovered(subject: Subject, element: Reaching, frame: Frame): Report[] {
  const item = leavesOf(frame.items).find((i) => i.kind === 'picture');
  if (item?.kind !== 'picture' || element.kind !== 'picture') return [];
  const { bleed } = subject.drawing.boxes;
  const reach = insets(item.frame, bleed);
  const gap = insets(mappedBounds(item.image, item.content ?? IDENTITY), item.frame);
  const bare = EDGE_NAMES.filter((edge) => Math.abs(reach[edge]) <= TOUCH && gap[edge] > TOUCH);
  if (bare.length === 0) return [];
  return [
    {
      severity: 'fault',
      element: element.id,
      where: frame.rect,
      message:
        `The frame bleeds on the ${list(bare)} edge${bare.length > 1 ? 's' : ''}, but the picture does not ` +
        'fill it there.',
      fixes: [replace('Fill the frame', { ...element, fit: { mode: 'fill' } })],
    },
  ];
}

const list = (names: readonly string[]) =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
