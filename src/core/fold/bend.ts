import type { Mm } from '../measure';
import type { Collision, Crease, Fold, Turn } from './fold';
import {
  NEAR,
  extent,
  flipped,
  isInsideUp,
  middle,
  placed,
  stretchBeside,
  type FoldAxis,
  type LaidFacet,
} from './laid-facet';

/** Two facets that hang together across the fold: between them lies a stretch of crease that it makes. */
interface Link {
  readonly moving: LaidFacet;
  readonly staying: LaidFacet;
  /** Where the crease lies on the flat sheet and on the folded one, along the axis, mm. */
  readonly flat: Mm;
  readonly at: Mm;
}

/** A fold as it happens: what turns, about what, and what it hangs on. */
export interface Bend {
  readonly axis: FoldAxis;
  readonly over: Fold['over'];
  /** Where the fold lies on the folded sheet, along the axis, mm. */
  readonly at: Mm;
  readonly moving: readonly LaidFacet[];
  readonly staying: readonly LaidFacet[];
  readonly links: readonly Link[];
  /** By the index of a facet: where it bends itself. */
  readonly creases: ReadonlyMap<number, Mm>;
}

/**
 * What a fold moves: all of the pile that lies on that side of the crease.
 * @param lines where the parts of the flat sheet begin along the axis of the fold, and its far end, mm
 */
export function bendOf(facets: readonly LaidFacet[], { axis, crease, moves, over }: Fold, lines: readonly Mm[]): Bend {
  const along = (facet: LaidFacet) => (axis === 'x' ? facet.column : facet.row);
  const across = (facet: LaidFacet) => (axis === 'x' ? facet.row : facet.column);
  const placeOf = (part: number, row: number) => part * facets.length + row;
  const byPlace = new Map(facets.map((facet) => [placeOf(along(facet), across(facet)), facet]));
  const beside = (part: number) => byPlace.get(placeOf(part, 0));
  const [low, high] = [beside(crease - 1), beside(crease)];
  const [mover, stayer] = moves === 'low' ? [low, high] : [high, low];
  if (!mover || !stayer) throw new RangeError(`There is no crease ${crease} along ${axis}.`);
  const at = placed(lines[crease] ?? 0, stayer, axis);
  const side = Math.sign(middle(mover, axis) - at);
  const turning = new Set(facets.filter((facet) => Math.sign(middle(facet, axis) - at) === side));
  const isMoving = (facet: LaidFacet) => turning.has(facet);
  const links = facets.flatMap((facet): Link | readonly [] => {
    const next = byPlace.get(placeOf(along(facet) + 1, across(facet)));
    if (!next || isMoving(facet) === isMoving(next)) return [];
    const [moving, staying] = isMoving(facet) ? [facet, next] : [next, facet];
    const flat = lines[along(next)] ?? 0;
    return { moving, staying, flat, at: placed(flat, staying, axis) };
  });
  // The first link of a facet counts.
  const creases = new Map(
    links.toReversed().flatMap((link): [number, Mm][] => [
      [link.moving.index, link.at],
      [link.staying.index, link.at],
    ]),
  );
  const staying = facets.filter((facet) => !isMoving(facet));
  return { axis, over, at, links, creases, moving: [...turning], staying };
}

/** Where a facet itself bends: an inner layer does so at its own crease, a little inside the outer one’s. */
const ownCrease = ({ creases }: Bend, { index }: LaidFacet): Mm | undefined => creases.get(index);

/** What is in the way of a fold. @param caliper thickness of the sheet, mm */
export function collisionsOf(bend: Bend, step: number, caliper: Mm): readonly Collision[] {
  const { moving, staying, links } = bend;
  return [
    ...tight(
      bend,
      moving,
      links.map((l) => l.moving),
      step,
      caliper,
    ),
    ...tight(
      bend,
      staying,
      links.map((l) => l.staying),
      step,
      caliper,
    ),
    ...crossing(bend, step),
  ];
}

/** What lies inside the bend has to end short of it, by the thickness of all that lies there. */
function tight(
  bend: Bend,
  side: readonly LaidFacet[],
  linked: readonly LaidFacet[],
  step: number,
  caliper: Mm,
): readonly Collision[] {
  const { over, axis, at } = bend;
  const layers = linked.map((f) => f.layer);
  const inner = side.filter(({ layer }) => (over === 'up' ? layer > Math.min(...layers) : layer < Math.max(...layers)));
  const needed = new Set(inner.map((f) => f.layer)).size * caliper;
  const found = inner.flatMap((facet) => {
    if (ownCrease(bend, facet) !== undefined) return [];
    const [from, to] = extent(facet, axis);
    const gap = Math.min(Math.abs(from - at), Math.abs(to - at));
    const isAcross = from < at - NEAR && to > at + NEAR;
    return gap < needed - NEAR && !isAcross ? [{ index: facet.index, by: needed - gap }] : [];
  });
  return asCollision('tight', step, found);
}

/** What lies on both sides of the bend and has no crease there. */
function crossing(bend: Bend, step: number): readonly Collision[] {
  const found = [...bend.moving, ...bend.staying].flatMap((facet) => {
    const at = ownCrease(bend, facet) ?? bend.at;
    const [from, to] = extent(facet, bend.axis);
    const by = Math.min(at - from, to - at);
    return by > NEAR ? [{ index: facet.index, by }] : [];
  });
  return asCollision(
    'crosses',
    step,
    found.sort((a, b) => a.index - b.index),
  );
}

const asCollision = (
  kind: Collision['kind'],
  step: number,
  found: readonly { readonly index: number; readonly by: Mm }[],
): readonly Collision[] =>
  found.length === 0
    ? []
    : [{ step, kind, facets: found.map((f) => f.index), by: Math.max(...found.map((f) => f.by)) }];

/** Degrees by which the moving side turns, and how who looks at the inside sees the crease. */
const isValley = ({ over }: Bend, staying: LaidFacet): boolean => (over === 'up') === isInsideUp(staying);

/** The stretches of crease that a fold makes. */
export const creasesOf = (bend: Bend, step: number): readonly Crease[] =>
  bend.links.map(({ staying, flat }) => ({
    ...stretchBeside(staying, bend.axis, flat),
    direction: isValley(bend, staying) ? 'up' : 'down',
    step,
  }));

/** A part of the moving side that hangs together, and turns about a crease of its own. */
interface MovingPart {
  readonly facets: readonly LaidFacet[];
  /** The link nearest to the fold; none where the part lies loose in the pile. */
  readonly link: Link | undefined;
}

/** @param across how many facets lie in a row */
export const movingParts = ({ moving, links, at }: Bend, across: number): readonly MovingPart[] =>
  connected(moving, across).map((facets) => {
    const own = links.filter((link) => facets.some(({ index }) => index === link.moving.index));
    const nearest = own.reduce<Link | undefined>(
      (best, link) => (!best || Math.abs(link.at - at) < Math.abs(best.at - at) ? link : best),
      undefined,
    );
    return { facets, link: nearest };
  });

export const turnsOf = (bend: Bend, parts: readonly MovingPart[]): readonly Turn[] =>
  parts.flatMap(({ facets, link }) =>
    link
      ? {
          facets: facets.map((f) => f.index),
          stays: link.staying.index,
          angle: isValley(bend, link.staying) ? 180 : -180,
          ...stretchBeside(link.staying, bend.axis, link.flat),
        }
      : [],
  );

/** The moving side as it lies after the fold: turned over, in reverse order, on top of the rest or beneath it. */
export function turnedOver(bend: Bend, parts: readonly MovingPart[]): readonly LaidFacet[] {
  const staying = bend.staying.map((f) => f.layer);
  const moving = bend.moving.map((f) => f.layer);
  const [top, bottom] = [Math.max(...staying), Math.min(...staying)];
  const [most, least] = [Math.max(...moving), Math.min(...moving)];
  return parts.flatMap(({ facets, link }) =>
    facets.map((facet) => {
      const layer = bend.over === 'up' ? top + 1 + (most - facet.layer) : bottom - 1 - (facet.layer - least);
      return flipped(facet, bend.axis, link?.at ?? bend.at, layer);
    }),
  );
}

/** Groups of facets that hang together among themselves on the flat sheet. */
function connected(facets: readonly LaidFacet[], across: number): readonly (readonly LaidFacet[])[] {
  const left = new Map(facets.map((facet) => [facet.index, facet]));
  const groups: LaidFacet[][] = [];
  for (const first of facets) {
    if (!left.delete(first.index)) continue;
    const group = [first];
    for (const { index, column } of group) {
      const inRow = [...(column > 0 ? [index - 1] : []), ...(column < across - 1 ? [index + 1] : [])];
      for (const i of [index - across, index + across, ...inRow]) {
        const beside = left.get(i);
        if (!beside) continue;
        left.delete(i);
        group.push(beside);
      }
    }
    groups.push(group);
  }
  return groups;
}
