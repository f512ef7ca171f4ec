import { boxOfAxis, styleBook, withTextLook, type AxisKey, type Element, type Job } from '../job';
import { factsOf, roomOf, spanX, spanY, withFact, type SurfaceBoxes } from '../layout';
import { formatNumber, parseLength, type JobUnit, type Parsed } from '../measure';
import { nameOf } from '../element';
import { CannotChange } from './changes/change';
import { chosenOf, withElements } from './on-side';

/** A number that several things can be given at once. Places and sizes are in mm, each within its own box. */
export type SharedFact = 'left' | 'width' | 'top' | 'height' | 'turn' | 'opacity' | 'type' | 'line';

/** What is done with a number: it takes a value, or each changes from what it is. */
export interface NumberChange {
  readonly does: 'becomes' | 'grows' | 'shrinks' | 'times' | 'over';
  readonly by: number;
}

interface Ground {
  readonly job: Job;
  readonly boxes: SurfaceBoxes;
}

interface Kept {
  readonly title: string;
  readonly unit: 'length' | 'pt' | '°' | '%';
  readonly least: number;
  readonly most: number;
  /** Undefined where an element has no such thing. */
  readonly of: (element: Element, ground: Ground) => number | undefined;
  readonly put: (element: Element, value: number, ground: Ground) => Element;
}

/** A fact of a place on an axis. */
const placed = (title: string, axis: 'x' | 'y', key: AxisKey): Kept => {
  const facts = ({ id, placement }: Element, { boxes }: Ground) => {
    const rect = boxes.placed[id];
    return rect && factsOf(axis === 'x' ? spanX(rect) : spanY(rect), roomOf(placement, axis, boxes));
  };
  return {
    title,
    unit: 'length',
    least: key === 'size' ? 0 : -1e5,
    most: 1e5,
    of: (element, ground) => facts(element, ground)?.[key],
    put: (element, value, ground) => {
      const now = facts(element, ground);
      if (!now) return element;
      const changed = withFact(element.placement[axis], now, key, value);
      return { ...element, placement: { ...element.placement, [axis]: changed } };
    },
  };
};

const FACTS: Readonly<Record<SharedFact, Kept>> = {
  left: placed('left', 'x', 'start'),
  width: placed('width', 'x', 'size'),
  top: placed('top', 'y', 'start'),
  height: placed('height', 'y', 'size'),
  turn: {
    title: 'turn',
    unit: '°',
    least: -360,
    most: 360,
    of: ({ placement }) => placement.rotate,
    put: (element, rotate) => ({ ...element, placement: { ...element.placement, rotate } }),
  },
  opacity: {
    title: 'opacity',
    unit: '%',
    least: 0,
    most: 100,
    of: ({ opacity }) => Math.round(opacity * 1000) / 10,
    put: (element, percent) => ({ ...element, opacity: percent / 100 }),
  },
  type: {
    title: 'type size',
    unit: 'pt',
    least: 1,
    most: 2000,
    of: (element, { job }) => {
      const isSet = element.kind === 'table' || (element.kind === 'text' && element.after === null);
      return isSet ? styleBook(job).base(element).sizePt : undefined;
    },
    put: (element, sizePt) => {
      if (element.kind === 'text') return withTextLook(element, { sizePt });
      return element.kind === 'table' ? { ...element, look: { ...element.look, sizePt } } : element;
    },
  },
  line: {
    title: 'line',
    unit: 'pt',
    least: 0.01,
    most: 500,
    of: (element) => (element.kind === 'line' || element.kind === 'shape' ? element.stroke?.widthPt : undefined),
    put: (element, widthPt) => {
      if (element.kind === 'line') return { ...element, stroke: { ...element.stroke, widthPt } };
      return element.kind === 'shape' && element.stroke
        ? { ...element, stroke: { ...element.stroke, widthPt } }
        : element;
    },
  },
};

/** A number that some of the chosen have, and what it is of each of those. */
export interface Shared {
  readonly fact: SharedFact;
  readonly title: string;
  readonly unit: Kept['unit'];
  readonly values: readonly number[];
}

/** Alike to what a field shows of it. */
const NEAR = 5e-4;

/** The value that all of them have, where they have the same one. */
export const commonOf = ({ values: [first, ...rest] }: Shared): number | undefined =>
  first !== undefined && rest.every((value) => Math.abs(value - first) < NEAR) ? first : undefined;

/** What can be told the chosen at once: each number that at least one of them has. */
export const sharedFacts = (elements: readonly Element[], ground: Ground): readonly Shared[] =>
  (Object.keys(FACTS) as SharedFact[]).flatMap((fact) => {
    const { title, unit, of } = FACTS[fact];
    const values = elements.flatMap((element) => of(element, ground) ?? []);
    return values.length > 0 ? [{ fact, title, unit, values }] : [];
  });

const SIGNS: Readonly<Record<string, NumberChange['does']>> = {
  '=': 'becomes',
  '+': 'grows',
  '-': 'shrinks',
  '−': 'shrinks',
  '*': 'times',
  '×': 'times',
  '/': 'over',
  '÷': 'over',
};

const SAID = /^([=+\-−*×/÷]?)(.*)$/s;

/**
 * Reads what a field of several things is told: `12 mm` gives each the value; `+2 mm`, `-2 mm`, `*1.5`, `/2` change
 * each from what it is; `=-2 mm` gives each a value below nothing.
 */
export function readNumberChange(text: string, unit: Shared['unit'], jobUnit: JobUnit): Parsed<NumberChange> {
  const [, sign = '', after = ''] = SAID.exec(text.trim()) ?? [];
  const rest = after.trim();
  const does = SIGNS[sign] ?? 'becomes';
  const refused = (message: string): Parsed<NumberChange> => ({
    ok: false,
    error: { at: 0, length: Math.max(1, text.length), message },
  });
  const isFactor = does === 'times' || does === 'over';
  if (unit === 'length' && !isFactor) {
    const read = parseLength(rest, { unit: jobUnit, ppi: 300 });
    return read.ok ? { ok: true, value: { does, by: read.value } } : read;
  }
  const by = Number((isFactor ? rest : rest.replace(/(?:pt|°|%)$/, '')).trim().replace(',', '.'));
  if (rest === '' || !Number.isFinite(by)) return refused('A number is wanted, or a change of it: +2, -2, *1.5, /2.');
  return isFactor && by <= 0 ? refused('A factor above 0 is wanted.') : { ok: true, value: { does, by } };
}

function changedBy(value: number, { does, by }: NumberChange): number {
  switch (does) {
    case 'becomes':
      return by;
    case 'grows':
      return value + by;
    case 'shrinks':
      return value - by;
    case 'times':
      return value * by;
    case 'over':
      return value / by;
  }
}

/**
 * Gives the chosen a number, or changes the one that each has; those without it stay as they are.
 * @throws CannotChange where one of them would leave its bounds
 */
export function withShared(
  job: Job,
  side: string,
  ids: readonly string[],
  boxes: SurfaceBoxes,
  told: { readonly fact: SharedFact; readonly change: NumberChange },
): Job {
  const { title, of, put, least, most } = FACTS[told.fact];
  const ground = { job, boxes };
  const carriers = new Set(chosenOf(job, side, ids).map(({ id }) => id));
  return withElements(job, side, (element) => {
    if (!carriers.has(element.id)) return element;
    const before = of(element, ground);
    if (before === undefined) return element;
    const after = changedBy(before, told.change);
    if (after < least || after > most)
      throw new CannotChange(
        `The ${title} of “${nameOf(element)}” would be ${formatNumber(after)}; from ${formatNumber(least)} to ` +
          `${formatNumber(most)} is possible.`,
      );
    // What stands against another of them is carried by it where all move by the same.
    const axis = told.fact === 'left' ? 'x' : told.fact === 'top' ? 'y' : undefined;
    const against = axis && boxOfAxis(element.placement, axis);
    const isCarried = against?.box === 'element' && carriers.has(against.element) && told.change.does !== 'becomes';
    return isCarried ? element : put(element, after, ground);
  });
}
