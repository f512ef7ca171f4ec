import type { AxisKey, Element } from '../job';
import { formatLength } from '../measure';
import { framed, replace, type Report, type Rule, type Subject } from './rule';

/** Lengths this far apart were meant to be one; nearer is the same already, mm [cp]. */
const [SAME, NEAR] = [0.005, 0.6];
/** So many alike make a habit. */
const HABIT = 3;

interface Held {
  readonly element: Element;
  readonly axis: 'x' | 'y';
  readonly key: AxisKey;
  readonly mm: number;
}

const WORDS: Readonly<Record<'x' | 'y', Readonly<Record<AxisKey, string>>>> = {
  x: { start: 'left distance', end: 'right distance', centre: 'distance off centre', size: 'width' },
  y: { start: 'top distance', end: 'bottom distance', centre: 'distance off centre', size: 'height' },
};

/** Distances to the edges of boxes that a designer wrote down as plain lengths. */
const plainDistances = (elements: readonly Element[]): readonly Held[] =>
  elements.flatMap((element) =>
    (['x', 'y'] as const).flatMap((axis) =>
      (['start', 'end'] as const).flatMap((key): Held[] => {
        const mm = element.placement[axis][key];
        return typeof mm === 'number' && mm > NEAR ? [{ element, axis, key, mm }] : [];
      }),
    ),
  );

/** A distance that is almost a named measure, or almost what several others are. */
export const nearMissRule: Rule = {
  id: 'near-miss',
  title: 'Almost the same distance',
  why:
    'Distances that differ by a hair look like a mistake, because they are one: the eye sees it before the ' +
    'ruler does.',
  check: (subject) => {
    const held = plainDistances(framed(subject).map((f) => f.element));
    return held.flatMap((one) => {
      const target = measureNear(subject, one) ?? habitNear(held, one);
      return target ? [report(subject, one, target)] : [];
    });
  },
};

interface Target {
  readonly mm: number;
  readonly words: string;
  readonly measure?: string;
}

function measureNear({ job }: Subject, { mm }: Held): Target | undefined {
  const found = job.measures.find((m) => Math.abs(m.value - mm) > SAME && Math.abs(m.value - mm) <= NEAR);
  return found && { mm: found.value, words: `“${found.name}” is`, measure: found.id };
}

/** The eye compares distances that run the same way: those across with those across, those down with those down. */
function habitNear(all: readonly Held[], { mm, axis }: Held): Target | undefined {
  const held = all.filter((h) => h.axis === axis);
  const alike = (value: number) => held.filter((h) => Math.abs(h.mm - value) <= SAME).length;
  const near = held.filter((h) => Math.abs(h.mm - mm) > SAME && Math.abs(h.mm - mm) <= NEAR);
  const best = near.reduce<Held | undefined>((a, b) => (!a || alike(b.mm) > alike(a.mm) ? b : a), undefined);
  const count = best ? alike(best.mm) : 0;
  return best && count >= HABIT && count > alike(mm) ? { mm: best.mm, words: `${count} others are` } : undefined;
}

function report({ job, drawing, blank }: Subject, { element, axis, key, mm }: Held, to: Target): Report {
  const write = (length: number) => formatLength(length * blank.scale, job.unit);
  const value = to.measure === undefined ? to.mm : { measure: to.measure };
  const placement = { ...element.placement, [axis]: { ...element.placement[axis], [key]: value } };
  const frame = drawing.frames.find((f) => f.element === element.id);
  return {
    severity: 'note',
    element: element.id,
    where: frame?.rect ?? drawing.boxes.trim,
    message: `Its ${WORDS[axis][key]} is ${write(mm)}; ${to.words} ${write(to.mm)}.`,
    fixes: [replace(`Make it ${write(to.mm)}`, { ...element, placement })],
  };
}
