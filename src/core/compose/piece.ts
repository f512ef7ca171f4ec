import type { Drawing } from '../drawing';
import { facingOf } from '../format';
import type { Piece, SideName } from '../job';
import { crossing, finishRepeated, withMoved, withRepeats } from './bare';
import type { ComposeContext } from './context';
import { drawSide } from './draw-side';
import { createMemory, type Memory } from './memory';
import { placedSides, sidesNeeded, type SurfaceToDraw } from './sides';
import type { Story } from './set-words';
import { typeset } from './typesetting';

export type { SurfaceToDraw } from './sides';

/** A piece, drawn. */
export interface DrawnPiece {
  /** One for each surface that was asked for, in their order. */
  readonly drawings: readonly Drawing[];
  /** The text that an element shows, or shows a part of. */
  readonly story: (id: string) => Story | undefined;
}

/**
 * Draws a piece again and again while its job is edited: a side on which nothing changed gives the same drawing, and an
 * element that did not change is not laid out twice. Make a new one when the context changes.
 */
export interface Composer {
  /**
   * @param surfaces all that the piece has, in reading order
   * @param wanted names of those to draw; left out, all of them
   * @throws RangeError where an element stands on no side
   */
  readonly piece: (piece: Piece, surfaces: readonly SurfaceToDraw[], wanted?: readonly SideName[]) => DrawnPiece;
}

/** Elements are placed, words are set, sides are drawn, and what comes to a side from another is laid on it. */
export function createComposer(context: ComposeContext): Composer {
  const memory = createMemory(context);
  return {
    piece: (piece, surfaces, wanted) => {
      const asked = wanted ? wanted.flatMap((name) => surfaces.find((s) => s.name === name) ?? []) : surfaces;
      const sideOf = placedSides(memory, piece, surfaces);
      const sides = [...sidesNeeded(asked)].flatMap((name) => sideOf(name) ?? []);
      const set = typeset(memory, piece, surfaces, sideOf, sides);
      const drawn = new Map(sides.map((side) => [side.name, drawSide(memory, piece, side, set)]));
      return { drawings: asked.map((surface) => withOthers(memory, surface, drawn)), story: set.story };
    },
  };
}

/** A side with what comes to it from another: artwork that is repeated on it, or what crosses the spine. */
function withOthers(memory: Memory, { name, repeats }: SurfaceToDraw, drawn: ReadonlyMap<SideName, Drawing>): Drawing {
  const drawing = drawn.get(name);
  if (!drawing) throw new RangeError(`“${name}” was not drawn.`);
  const source = repeats && drawn.get(repeats.surface);
  if (repeats && source)
    return memory.finished(name, [drawing, source, repeats], () => {
      const { lines, coats } = finishRepeated(source, repeats.at);
      return {
        ...withRepeats(drawing, source, repeats.at),
        lines: [...drawing.lines, ...lines],
        coats: [...drawing.coats, ...coats],
      };
    });
  const facing = drawing.boxes.spread === drawing.boxes.trim ? undefined : drawn.get(facingOf(name) ?? '');
  if (!facing) return drawing;
  return memory.finished(name, [drawing, facing], () => {
    const { items, dx } = crossing(drawing, facing);
    return items.length > 0 ? withMoved(drawing, items, { x: dx, y: 0 }) : drawing;
  });
}
