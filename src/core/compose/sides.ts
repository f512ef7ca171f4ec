import type { Element } from '../element';
import { facingOf, type BlankSurface } from '../format';
import { elementsOn, type Piece, type SideName } from '../job';
import type { SurfaceBoxes } from '../layout';
import type { Turn } from '../printable';
import type { Memory } from './memory';
import { keyOfTurn, turnsOf } from './turns';

/** A surface to draw: its boxes, and what of it is bare or repeated. */
export type SurfaceToDraw = Pick<BlankSurface, 'name' | 'boxes' | 'zones' | 'repeats'>;

/** A side with its elements placed. */
export interface PlacedSide {
  readonly name: SideName;
  readonly surface: SurfaceToDraw;
  /** From the lowest up. */
  readonly elements: readonly Element[];
  readonly boxes: SurfaceBoxes;
  readonly turn: Turn;
}

/** The sides of a piece, placed as they are asked for; one that did not change is not solved anew. */
export function placedSides(
  memory: Memory,
  piece: Piece,
  surfaces: readonly SurfaceToDraw[],
): (name: SideName) => PlacedSide | undefined {
  const { grids, groups, guides } = piece;
  const byName = new Map(surfaces.map((surface) => [surface.name, surface]));
  const turnOf = turnsOf(
    piece,
    surfaces.map(({ name }) => name),
  );
  const place = (surface: SurfaceToDraw): PlacedSide => {
    const { name } = surface;
    const turn = turnOf(name);
    const elements = elementsOn(piece, name);
    const from = [elements, grids, groups, guides, surface.boxes, keyOfTurn(turn)];
    const boxes = memory.solved(name, from, () => {
      const layout = { side: name, elements, grids, groups, guides };
      return memory.solverOn(name)(surface.boxes, layout, memory.contentOn(surface.boxes, turn));
    });
    return { name, surface, elements, boxes, turn };
  };
  const placed = new Map<SideName, PlacedSide>();
  return (name) => {
    const surface = byName.get(name);
    const found = placed.get(name) ?? (surface && place(surface));
    if (found) placed.set(name, found);
    return found;
  };
}

/**
 * Sides that have to be drawn for those that are asked for: each may show artwork of another, or a part of the page
 * beside it.
 */
export const sidesNeeded = (asked: readonly SurfaceToDraw[]): ReadonlySet<SideName> =>
  new Set(
    asked.flatMap(({ name, repeats, boxes }) => [
      name,
      ...(repeats ? [repeats.surface] : []),
      ...(boxes.spread === boxes.trim ? [] : [facingOf(name) ?? name]),
    ]),
  );
