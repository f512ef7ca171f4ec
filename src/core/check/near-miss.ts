import type { AxisKey, Element } from '../job';
import { formatLength, type Mm } from '../measure';
import { framed, replace, type Report, type Rule, type Subject } from './rule';

/** Lengths this far apart were meant to be one; nearer is the same already, mm [cp]. */
const [SAME, NEAR] = [0.005, 0.6];
/** What is lost when lengths are added, mm. */
const ROUNDING = 1e-9;
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
    const habits = {
      x: habitsAlong(held.flatMap(({ axis, mm }) => (axis === 'x' ? [mm] : []))),
      y: habitsAlong(held.flatMap(({ axis, mm }) => (axis === 'y' ? [mm] : []))),
    };
    return held.flatMap((one) => {
      const target = measureNear(subject, one) ?? habitTarget(habits[one.axis](one.mm));
      return target ? [report(subject, one, target)] : [];
    });
  },
};

interface Target {
  readonly mm: number;
  readonly words: string;
  readonly measure?: string;
}

const habitTarget = (habit: Habit | undefined): Target | undefined =>
  habit && { mm: habit.mm, words: `${habit.count} others are` };

function measureNear({ job }: Subject, { mm }: Held): Target | undefined {
  const found = job.measures.find((m) => Math.abs(m.value - mm) > SAME && Math.abs(m.value - mm) <= NEAR);
  return found && { mm: found.value, words: `“${found.name}” is`, measure: found.id };
}

/** A distance that several elements keep. */
interface Habit {
  readonly mm: number;
  readonly count: number;
}

/** How many distances lie below a value; they are sorted. */
function below(sorted: readonly number[], value: number): number {
  let [low, high] = [0, sorted.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((sorted[middle] ?? 0) < value) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** How many distances are as good as the same. */
const alike = (sorted: readonly number[], mm: number): number =>
  below(sorted, mm + SAME + ROUNDING) - below(sorted, mm - SAME - ROUNDING);

/**
 * The eye compares distances that run the same way: those across with those across, those down with those down.
 * @returns the habit that a distance almost keeps
 */
export function habitsAlong(distances: readonly Mm[]): (mm: Mm) => Habit | undefined {
  const sorted = [...distances].sort((a, b) => a - b);
  // Of what is as good as the same one is enough.
  const habits = new Map<number, Habit>();
  for (const mm of distances) {
    const place = Math.round(mm / SAME);
    const count = habits.has(place) ? 0 : alike(sorted, mm);
    if (count >= HABIT) habits.set(place, { mm, count });
  }
  const inOrder = [...habits.values()].sort((a, b) => a.mm - b.mm);
  const places = inOrder.map((h) => h.mm);
  return (mm) => {
    const near = inOrder
      .slice(below(places, mm - NEAR - ROUNDING), below(places, mm + NEAR + ROUNDING))
      .filter((h) => Math.abs(h.mm - mm) > SAME + ROUNDING);
    const best = near.reduce<Habit | undefined>((a, b) => (!a || b.count > a.count ? b : a), undefined);
    return best && best.count > alike(sorted, mm) ? best : undefined;
  };
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
