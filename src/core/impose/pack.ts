import { seededRandom, type Random } from '../chance';
import type { Rect } from '../geometry';
import type { Size } from '../paper';
import { SAME, parted, waste, type Layout, type Way } from './guillotine';
import { joined } from './pattern';

/** One of what has to lie on the sheet. */
export interface Item extends Size {
  readonly kind: number;
  readonly turns: boolean;
}

/** What was laid, and what found no place. */
export interface Packed {
  readonly layout: Layout;
  readonly left: readonly Item[];
}

/** A rectangle that is still free, or what became of it. */
interface Spot {
  rect: Rect;
  piece?: { readonly kind: number; readonly isTurned: boolean };
  cut?: { readonly way: Way; readonly parts: readonly Spot[] };
}

/** Which free rectangle is taken: the smaller, the better. */
type Fit = (free: Rect, size: Size) => number;
const FITS: readonly Fit[] = [
  // Least area left over; least left on the tighter side; least on the looser.
  (free, size) => free.width * free.height - size.width * size.height,
  (free, size) => Math.min(free.width - size.width, free.height - size.height),
  (free, size) => Math.max(free.width - size.width, free.height - size.height),
];

/** How what is left beside and below a piece is parted: by a first cut level, or upright. */
type Split = (free: Rect, size: Size) => Way;
const SPLITS: readonly Split[] = [
  (free, size) => (free.width - size.width < free.height - size.height ? 'level' : 'upright'),
  (free, size) => (free.width - size.width < free.height - size.height ? 'upright' : 'level'),
  // So that the largest rectangle is left; so that the two are most alike.
  (free, size) =>
    size.width * (free.height - size.height) < (free.width - size.width) * size.height ? 'upright' : 'level',
  () => 'level',
  () => 'upright',
];

type Order = (item: Item) => number;
const ORDERS: readonly Order[] = [
  ({ width, height }) => width * height,
  ({ width, height }) => Math.max(width, height),
  ({ height, width }) => height * 1e4 + width,
  ({ width, height }) => width * 1e4 + height,
  ({ width, height }) => width + height,
];

/** Steps of the search, each of which lays everything once: fewer where there is much to lay. */
const stepsFor = (items: number): number => Math.min(3000, Math.ceil(60_000 / items));
/** So many steps without a better one, and it begins again from the best. */
const PATIENCE = 400;

/** One way to lay everything. */
interface Plan {
  readonly order: readonly Item[];
  readonly fit: Fit;
  /** One for each item in turn. */
  readonly splits: readonly Split[];
}

/** How long is searched. */
export interface PackLimits {
  /** Area that is good enough to stop at; left out, all of it. */
  readonly enough?: number;
  /** Steps of the search after the plain orders; left out, as many as take about a tenth of a second. */
  readonly steps?: number;
}

interface Tried extends Packed {
  readonly plan: Plan;
  readonly laid: number;
}

/**
 * Lays different pieces on a rectangle so that a guillotine can cut them: many orders and ways to part what is left
 * (Jylänki 2010, guillotine placement), and from the best of them a search by small changes. The same request gives
 * the same answer.
 * @param room mm
 */
export function packMixed(
  room: Size,
  items: readonly Item[],
  { enough = Infinity, steps = stepsFor(items.length) }: PackLimits = {},
): Packed {
  const random = seededRandom(items.length);
  const whole = areaOfAll(items);
  const enoughLaid = Math.min(whole, enough) - SAME;
  const lay = (plan: Plan): Tried => {
    const made = packed(room, plan);
    return { ...made, plan, laid: whole - areaOfAll(made.left) };
  };
  let best: Tried = { layout: waste({ x: 0, y: 0, ...room }), left: items, plan: firstPlan(items), laid: -1 };
  for (const order of ORDERS) {
    const sorted = [...items].sort((a, b) => order(b) - order(a));
    for (const fit of FITS)
      for (const split of SPLITS) {
        const made = lay({ order: sorted, fit, splits: sorted.map(() => split) });
        if (made.laid > best.laid) best = made;
        if (best.laid >= enoughLaid) return best;
      }
  }
  let [now, since] = [best, 0];
  for (let i = 0; i < steps && items.length > 1; i += 1, since += 1) {
    if (since > PATIENCE) [now, since] = [best, 0];
    const made = lay(changed(now.plan, random));
    if (made.laid >= now.laid) now = made;
    if (made.laid <= best.laid + SAME) continue;
    [best, since] = [made, 0];
    if (best.laid >= enoughLaid) return best;
  }
  return best;
}

const firstPlan = (order: readonly Item[]): Plan => ({
  order,
  fit: () => 0,
  splits: order.map(() => levelFirst),
});

const anyOf = <T>(list: readonly T[], random: Random): T => list[Math.floor(random() * list.length)] as T;

/** Two items change places, or one is laid earlier; now and then another way to choose or to part. */
function changed({ order, fit, splits }: Plan, random: Random): Plan {
  const at = () => Math.floor(random() * order.length);
  const [from, to] = [at(), at()];
  const next = [...order];
  const [moved] = next.splice(from, 1);
  if (moved) next.splice(to, 0, moved);
  const parting = [...splits];
  if (random() < 0.5) parting[at()] = anyOf(SPLITS, random);
  return { order: next, fit: random() < 0.05 ? anyOf(FITS, random) : fit, splits: parting };
}

const areaOfItem = ({ width, height }: Size): number => width * height;
const areaOfAll = (items: readonly Item[]): number => items.reduce((sum, item) => sum + areaOfItem(item), 0);

function packed(room: Size, { order, fit, splits }: Plan): Packed {
  const root: Spot = { rect: { x: 0, y: 0, ...room } };
  const free: Spot[] = [root];
  const left: Item[] = [];
  for (const [i, item] of order.entries()) {
    const place = placeFor(free, item, fit);
    if (!place) {
      left.push(item);
      continue;
    }
    const { spot, size, isTurned } = place;
    free.splice(free.indexOf(spot), 1);
    free.push(...lay(spot, size, { kind: item.kind, isTurned }, splits[i] ?? levelFirst));
  }
  return { layout: joined(layoutOf(root)), left };
}

function placeFor(free: readonly Spot[], item: Item, fit: Fit) {
  const sizes = [
    { size: { width: item.width, height: item.height }, isTurned: false },
    ...(item.turns ? [{ size: { width: item.height, height: item.width }, isTurned: true }] : []),
  ];
  let best: { readonly spot: Spot; readonly size: Size; readonly isTurned: boolean } | undefined;
  let least = Infinity;
  for (const spot of free)
    for (const { size, isTurned } of sizes) {
      if (size.width > spot.rect.width + SAME || size.height > spot.rect.height + SAME) continue;
      const worth = fit(spot.rect, size);
      if (worth < least - SAME) [best, least] = [{ spot, size, isTurned }, worth];
    }
  return best;
}

/** Lays a piece into the corner of a free rectangle. @returns what is free of it then */
function lay(spot: Spot, size: Size, piece: NonNullable<Spot['piece']>, split: Split): readonly Spot[] {
  const { rect } = spot;
  const first = split(rect, size);
  const inWay = (way: Way) => (way === 'upright' ? size.width : size.height);
  const [near, far] = parted(rect, first, inWay(first));
  const second: Way = first === 'upright' ? 'level' : 'upright';
  const [own, beside] = parted(near, second, inWay(second));
  const hasRoom = ({ width, height }: Rect) => width > SAME && height > SAME;
  const [farSpot, besideSpot]: [Spot, Spot] = [{ rect: far }, { rect: beside }];
  const ownSpot: Spot = { rect: own, piece };
  const inner: Spot = hasRoom(beside) ? { rect: near, cut: { way: second, parts: [ownSpot, besideSpot] } } : ownSpot;
  if (hasRoom(far)) spot.cut = { way: first, parts: [inner, farSpot] };
  else if (inner.cut) spot.cut = inner.cut;
  else spot.piece = piece;
  return [farSpot, besideSpot].filter(({ rect: r }) => hasRoom(r));
}

const levelFirst: Split = () => 'level';

function layoutOf({ rect, piece, cut }: Spot): Layout {
  if (piece) return { rect, is: 'piece', ...piece };
  if (cut) return { rect, is: 'cut', way: cut.way, parts: cut.parts.map(layoutOf) };
  return waste(rect);
}
