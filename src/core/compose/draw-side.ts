import type { Drawing } from '../drawing';
import type { Element, ElementOf } from '../element';
import type { Finishing } from '../finish';
import type { Piece } from '../job';
import { withBarePaper } from './bare';
import { withClip } from './clip';
import type { Composed, ElementContext } from './context';
import { composeElement } from './element';
import { composeFinish } from './finish';
import { composedKind } from './kinds';
import { bareContext, type Memory } from './memory';
import type { PlacedSide } from './sides';
import type { Typesetting } from './typesetting';

const NO_FINISH: readonly Finishing[] = [];

/**
 * A side by itself, without artwork that is repeated on it and without what crosses the spine. One that did not change
 * is the same drawing.
 */
export function drawSide(memory: Memory, piece: Piece, side: PlacedSide, set: Typesetting): Drawing {
  const { name, boxes, turn, elements, surface } = side;
  const finish = piece.finish?.[name] ?? NO_FINISH;
  const dependsOn = (e: Element) => composedKind(e.kind).dependsOn(e, { ...set, boxes, turn });
  const from = [boxes, elements, piece.layers, surface.zones, finish, ...elements.flatMap(dependsOn)];
  return memory.drawn(name, from, () => {
    const context = contextOn(memory, side, set);
    return withBarePaper(composeSide(memory, side, piece.layers, finish, context), surface.zones);
  });
}

function contextOn(memory: Memory, { boxes, turn, elements }: PlacedSide, set: Typesetting): ElementContext {
  const shapes = new Map(
    elements.flatMap((e): [string, ElementOf<'shape'>][] => (e.kind === 'shape' ? [[e.id, e]] : [])),
  );
  return { ...bareContext(memory.context, boxes, turn, memory.typeContext), ...set, shape: (id) => shapes.get(id) };
}

function composeSide(
  memory: Memory,
  { name, elements }: PlacedSide,
  layers: Piece['layers'],
  finish: readonly Finishing[],
  context: ElementContext,
): Drawing {
  const composed = inPaintOrder(elements, layers).map(({ element, locked }) => {
    const made = composeOnce(memory, element, context);
    const clipped = element.clipTo === null ? made : withClip(made, element, elements, context.boxes);
    return locked ? { ...clipped, frame: { ...clipped.frame, locked } } : clipped;
  });
  const frames = composed.map((c) => c.frame);
  const finished = composeFinish(finish, frames, context);
  return {
    surface: name,
    boxes: context.boxes,
    frames,
    repeated: [],
    reserved: [],
    lines: finished.lines,
    coats: finished.coats,
    notes: [...composed.flatMap((c) => c.notes), ...finished.notes],
  };
}

/** An element; one that did not change is not composed twice. */
function composeOnce(memory: Memory, element: Element, context: ElementContext): Composed {
  const placed = context.boxes.placed[element.id];
  if (!placed) throw new RangeError(`“${element.id}” is not on this side.`);
  const { x, y, width, height } = placed;
  // Copies may be laid on measures of the side.
  const around = element.repeat.length > 0 ? [context.boxes] : [];
  const from = [x, y, width, height, ...around, ...composedKind(element.kind).dependsOn(element, context)];
  return memory.composed(element, from, () => composeElement(element, placed, context));
}

/** What is shown, lowest first: layer by layer, hidden ones left out. */
function inPaintOrder(
  elements: readonly Element[],
  layers: Piece['layers'],
): readonly { readonly element: Element; readonly locked: boolean }[] {
  const [only] = layers;
  if (layers.length === 1 && only && !only.hidden && !only.locked)
    return elements.map((element) => ({ element, locked: false }));
  return layers
    .filter((layer) => !layer.hidden)
    .flatMap((layer) =>
      elements.filter((e) => e.layer === layer.id).map((element) => ({ element, locked: layer.locked })),
    );
}
