import { nameOf } from '../element';
import { elementsOn, type AxisKey, type BoxRef, type Element, type Job } from '../job';
import { itemsOf, leavesOf } from '../drawing';
import { centreOf, factsOf, restateAxis, roomOf, spanX, spanY, withFact, type Rect, type Tracks } from '../layout';
import { distributeSelection } from './arrange';
import { dependants } from './box-choices';
import { withJob, type DrawnJob } from './drawn-job';
import { placeAt } from './gestures';
import { withElements } from './on-side';

/** An arrangement as one would ask for it, and the job as it would be. */
export interface Asked {
  readonly id: string;
  readonly words: string;
  readonly recipe: (job: Job) => Job;
}

type AxisName = 'x' | 'y';
type Fact = readonly [key: AxisKey, value: NonNullable<Element['placement']['x'][AxisKey]>];

/** Holds an element against a box on one axis, with one fact in charge; the other stays as it is. */
function heldBy(desk: DrawnJob, element: Element, axis: AxisName, ref: BoxRef, [key, value]: Fact): Element {
  const { boxes } = desk.drawing;
  const rect = boxes.placed[element.id];
  if (!rect) return element;
  const placement = restateAxis(element.placement, axis, ref, boxes, rect);
  const now = factsOf(axis === 'x' ? spanX(rect) : spanY(rect), roomOf(placement, axis, boxes));
  return { ...element, placement: { ...placement, [axis]: withFact(placement[axis], now, key, value) } };
}

/** What can be asked of the chosen: the one that was chosen first stays, and the others go by it. */
export function arrangements(desk: DrawnJob, ids: readonly string[]): readonly Asked[] {
  const side = elementsOn(desk.piece, desk.surface.name);
  const chosen = ids.flatMap((id) => side.find((e) => e.id === id) ?? []);
  const [first, ...rest] = chosen;
  if (!first) return [];
  return [
    ...(rest.length > 0 ? byTheFirst(desk, first, rest, dependantsOf(desk, side)) : []),
    ...(rest.length === 2 ? between(desk, first, rest) : []),
    ...(rest.length > 1 ? equalGaps(desk, ids) : []),
    ...(rest.length > 0 ? onOneBaseline(desk, first, rest) : []),
    ...columnsFilled(desk, chosen),
  ];
}

type Waiting = (id: string) => ReadonlySet<string>;

const dependantsOf =
  ({ piece }: DrawnJob, side: readonly Element[]): Waiting =>
  (id) =>
    dependants(id, side, piece.grids);

/** The job with some elements made others. */
const changing =
  ({ surface }: DrawnJob, elements: readonly Element[], change: (element: Element) => Element) =>
  (job: Job): Job => {
    const ids = new Set(elements.map(({ id }) => id));
    return withElements(job, surface.name, (element) => (ids.has(element.id) ? change(element) : element));
  };

const BY_THE_FIRST: readonly {
  readonly id: string;
  readonly words: (name: string) => string;
  readonly axis: AxisName;
  readonly fact: Fact;
}[] = [
  { id: 'wide', words: (n) => `as wide as ${n}`, axis: 'x', fact: ['size', { percent: 100 }] },
  { id: 'high', words: (n) => `as high as ${n}`, axis: 'y', fact: ['size', { percent: 100 }] },
  { id: 'left', words: (n) => `left as ${n}`, axis: 'x', fact: ['start', 0] },
  { id: 'right', words: (n) => `right as ${n}`, axis: 'x', fact: ['end', 0] },
  { id: 'top', words: (n) => `top as ${n}`, axis: 'y', fact: ['start', 0] },
  { id: 'centre', words: (n) => `centred on ${n}`, axis: 'x', fact: ['centre', 0] },
  { id: 'middle', words: (n) => `at the middle of ${n}`, axis: 'y', fact: ['centre', 0] },
];

/** Held against the first: what is changed of that later, they follow. */
function byTheFirst(desk: DrawnJob, first: Element, rest: readonly Element[], waiting: Waiting): readonly Asked[] {
  // What the first one waits for cannot wait for it.
  const able = rest.filter(({ id }) => !waiting(id).has(first.id));
  if (able.length === 0) return [];
  const name = `“${nameOf(first)}”`;
  const whole: BoxRef = { box: 'element', element: first.id, part: 'whole' };
  return BY_THE_FIRST.map(({ id, words, axis, fact }) => ({
    id,
    words: words(name),
    recipe: changing(desk, able, (element) => heldBy(desk, element, axis, whole, fact)),
  }));
}

/** The third in the middle between the first two, on the axis on which they lie apart. */
function between(desk: DrawnJob, first: Element, [second, third]: readonly Element[]): readonly Asked[] {
  const rectOf = (element: Element | undefined) => element && desk.drawing.boxes.placed[element.id];
  const [a, b, c] = [rectOf(first), rectOf(second), rectOf(third)];
  if (!a || !b || !c || !second || !third) return [];
  const gap = (from: number, size: number, to: number, next: number) => Math.max(to - from - size, from - to - next);
  const isAcross = gap(a.x, a.width, b.x, b.width) >= gap(a.y, a.height, b.y, b.height);
  const middle = (axis: AxisName, size: 'width' | 'height') => {
    const [low, high] = a[axis] < b[axis] ? [a, b] : [b, a];
    return (low[axis] + low[size] + high[axis]) / 2 - c[size] / 2;
  };
  const to: Rect = isAcross ? { ...c, x: middle('x', 'width') } : { ...c, y: middle('y', 'height') };
  return [
    {
      id: 'between',
      words: `“${nameOf(third)}” in the middle between “${nameOf(first)}” and “${nameOf(second)}”`,
      recipe: changing(desk, [third], (element) => placeAt(element, to, desk.drawing.boxes)),
    },
  ];
}

const equalGaps = (desk: DrawnJob, ids: readonly string[]): readonly Asked[] =>
  (['x', 'y'] as const).map((axis) => ({
    id: `gaps-${axis}`,
    words: `equal gaps ${axis === 'x' ? 'across' : 'down'}`,
    recipe: (job) => distributeSelection(withJob(desk, job), ids, axis, undefined),
  }));

/** The foot of the first line of a text, mm down the side. */
function baselineOf({ drawing }: DrawnJob, { id }: Element): number | undefined {
  const own = leavesOf(itemsOf(drawing)).flatMap((item) =>
    item.kind === 'glyphs' && item.from === id ? item.glyphs : [],
  );
  return own.length > 0 ? Math.min(...own.map(({ y }) => y)) : undefined;
}

/** Texts whose first lines stand at one height. */
function onOneBaseline(desk: DrawnJob, first: Element, rest: readonly Element[]): readonly Asked[] {
  const wanted = baselineOf(desk, first);
  const able = rest.filter((element) => baselineOf(desk, element) !== undefined);
  if (wanted === undefined || able.length === 0) return [];
  return [
    {
      id: 'baseline',
      words: `on the baseline of “${nameOf(first)}”`,
      recipe: changing(desk, able, (element) => {
        const rect = desk.drawing.boxes.placed[element.id];
        const own = baselineOf(desk, element);
        if (!rect || own === undefined) return element;
        return placeAt(element, { ...rect, y: rect.y + wanted - own }, desk.drawing.boxes);
      }),
    },
  ];
}

/** From side to side of the columns that a thing lies in. */
function columnsFilled(desk: DrawnJob, chosen: readonly Element[]): readonly Asked[] {
  const { grid, placed } = desk.drawing.boxes;
  if (grid.columns.length < 2) return [];
  const fill = (element: Element): Element => {
    const rect = placed[element.id];
    const span = rect && columnsUnder(grid, rect);
    if (!span) return element;
    const x = { start: 0, end: 0, of: { box: 'columns', ...span } } as const;
    return { ...element, placement: { ...element.placement, x } };
  };
  return [{ id: 'columns', words: 'fill the columns they lie in', recipe: changing(desk, chosen, fill) }];
}

/** The columns that a box covers more than half of, or else the one that its middle is nearest to. */
function columnsUnder({ columns }: Tracks, rect: Rect): { readonly from: number; readonly to: number } | undefined {
  const covered = columns.flatMap(({ start, size }, i) => {
    const shared = Math.min(start + size, rect.x + rect.width) - Math.max(start, rect.x);
    return shared > size / 2 ? [i + 1] : [];
  });
  const [from] = covered;
  const to = covered.at(-1);
  if (from !== undefined && to !== undefined) return { from, to };
  const { x } = centreOf(rect);
  const distances = columns.map(({ start, size }) => Math.max(start - x, x - start - size, 0));
  const nearest = distances.indexOf(Math.min(...distances)) + 1;
  return nearest > 0 ? { from: nearest, to: nearest } : undefined;
}
