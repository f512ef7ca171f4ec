import type { Mm } from '../measure';
import { bendOf, collisionsOf, creasesOf, movingParts, turnedOver, turnsOf } from './bend';
import type { Collision, Crease, Fold, FoldStep, Folded, Showing } from './fold';
import { joinCreases } from './join-creases';
import { extent, isInsideUp, type FoldAxis, type LaidFacet } from './laid-facet';

/**
 * Folds a sheet of columns and rows, one fold after another, and finds out what happens: where each part comes to
 * lie, in which order, which way each crease bends, and what is in the way.
 * @param columns widths on the inside from the left, mm
 * @param rows    heights from the top, mm
 * @param caliper thickness of the sheet, mm: what is tucked inside a fold needs that much room for each layer
 */
export function foldFlat(columns: readonly Mm[], rows: readonly Mm[], folds: readonly Fold[], caliper: Mm): Folded {
  const lines = { x: starts(columns), y: starts(rows) };
  let facets = flatFacets(columns, rows, lines);
  const steps: FoldStep[] = [];
  const creases: Crease[] = [];
  const collisions: Collision[] = [];
  for (const [step, fold] of folds.entries()) {
    const bend = bendOf(facets, fold, lines[fold.axis]);
    collisions.push(...collisionsOf(bend, step, caliper));
    creases.push(...creasesOf(bend, step));
    const parts = movingParts(bend, columns.length);
    const turned = new Map(turnedOver(bend, parts).map((facet) => [facet.index, facet]));
    facets = facets.map((facet) => turned.get(facet.index) ?? facet);
    steps.push({ name: fold.name, turns: turnsOf(bend, parts), layers: facets.map((f) => f.layer) });
  }
  const pile = [...facets].sort((a, b) => b.layer - a.layer);
  return {
    facets: facets.map(({ column, row, rect }) => ({ column, row, rect })),
    steps,
    creases: joinCreases(creases),
    collisions,
    size: { width: spread(facets, 'x'), height: spread(facets, 'y') },
    layers: mostLayers(facets),
    top: showing(pile[0], 'above'),
    bottom: showing(pile.at(-1), 'below'),
    states: facets.map(({ sx, sy, tx, ty, layer }) => ({ sx, sy, tx, ty, layer })),
  };
}

/** Where each part starts, and the far end last. */
function starts(sizes: readonly Mm[]): readonly Mm[] {
  const out = [0];
  for (const size of sizes) out.push((out.at(-1) ?? 0) + size);
  return out;
}

/** The sheet before it is folded. */
const flatFacets = (
  columns: readonly Mm[],
  rows: readonly Mm[],
  lines: Readonly<Record<FoldAxis, readonly Mm[]>>,
): readonly LaidFacet[] =>
  rows.flatMap((height, row) =>
    columns.map((width, column) => ({
      index: row * columns.length + column,
      column,
      row,
      rect: { x: lines.x[column] ?? 0, y: lines.y[row] ?? 0, width, height },
      ...{ sx: 1, sy: 1, tx: 0, ty: 0, layer: 0 },
    })),
  );

function spread(facets: readonly LaidFacet[], axis: FoldAxis): Mm {
  const extents = facets.map((facet) => extent(facet, axis));
  return Math.max(...extents.map(([, to]) => to)) - Math.min(...extents.map(([from]) => from));
}

/** Sheets lie on each other where a middle lies within another’s extent. */
function mostLayers(facets: readonly LaidFacet[]): number {
  const boxes = facets.map((facet) => {
    const [[left, right], [top, bottom]] = [extent(facet, 'x'), extent(facet, 'y')];
    return { left, right, top, bottom, x: (left + right) / 2, y: (top + bottom) / 2 };
  });
  const at = ({ x, y }: (typeof boxes)[number]): number =>
    boxes.filter((b) => b.left < x && x < b.right && b.top < y && y < b.bottom).length;
  return Math.max(0, ...boxes.map(at));
}

/** What one sees of a pile. @param facet the one that lies outermost */
function showing(facet: LaidFacet | undefined, from: 'above' | 'below'): Showing {
  if (!facet) return { facet: 0, face: from === 'above' ? 'inside' : 'outside', turned: false };
  const isInside = isInsideUp(facet) === (from === 'above');
  return { facet: facet.index, face: isInside ? 'inside' : 'outside', turned: facet.sy === -1 };
}
