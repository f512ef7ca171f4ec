import type { Drawing } from '../drawing';
import type { Element, ElementOf } from '../element';
import type { Finishing } from '../finish';
import type { Piece } from '../job';
import { withBarePaper } from './bare';
import { withClip } from './clip';
import type { Composed, ElementContext } from './context';
import { composeElement } from './element';
import { composeFinish } from './finish';
import { composedKind, type Dependency } from './kinds';
import { weakMemo } from './memo';
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
  // Wanted only where something changed.
  let made: ElementContext | undefined;
  const context = () => (made ??= contextOn(memory, side, set));
  const facts = { ...set, boxes, turn };
  const shown = inPaintOrder(elements, piece.layers).map(({ element, locked }) => ({
    element,
    locked,
    made: composeOnce(memory, element, facts, context),
  }));
  const from = [boxes, elements, piece.layers, surface.zones, finish, ...shown.map(({ made }) => made)];
  return memory.drawn(name, from, () => {
    const laid = shown.map((part) => asLaid(part, side));
    return withBarePaper(sideOf(name, laid, finish, context()), surface.zones);
  });
}

const shapesOf = weakMemo<ReadonlyMap<string, ElementOf<'shape'>>>();

function contextOn(memory: Memory, { boxes, turn, elements }: PlacedSide, set: Typesetting): ElementContext {
  const shapes = () =>
    shapesOf(elements, [], () => new Map(elements.flatMap((e) => (e.kind === 'shape' ? [[e.id, e]] : []))));
  return { ...bareContext(memory.context, boxes, turn, memory.typeContext), ...set, shape: (id) => shapes().get(id) };
}

/** An element as it lies on its side: clipped by another, on a layer that may be locked. */
function asLaid({ element, locked, made }: Shown & { readonly made: Composed }, side: PlacedSide): Composed {
  const clipped = element.clipTo === null ? made : withClip(made, element, side.elements, side.boxes);
  return locked ? { ...clipped, frame: { ...clipped.frame, locked } } : clipped;
}

function sideOf(
  surface: string,
  composed: readonly Composed[],
  finish: readonly Finishing[],
  context: ElementContext,
): Drawing {
  const frames = composed.map((c) => c.frame);
  const finished = composeFinish(finish, frames, context);
  return {
    surface,
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
function composeOnce(
  memory: Memory,
  element: Element,
  facts: Pick<ElementContext, Dependency>,
  context: () => ElementContext,
): Composed {
  const placed = facts.boxes.placed[element.id];
  if (!placed) throw new RangeError(`“${element.id}” is not on this side.`);
  // What did not move has the same box; copies may be laid on measures of the side.
  const around = element.repeat.length > 0 ? facts.boxes : undefined;
  const from = [placed, around, ...composedKind(element.kind).dependsOn(element, facts)];
  return memory.composed(element, from, () => composeElement(element, placed, context()));
}

interface Shown {
  readonly element: Element;
  readonly locked: boolean;
}

/** What is shown, lowest first: layer by layer, hidden ones left out. */
function inPaintOrder(elements: readonly Element[], layers: Piece['layers']): readonly Shown[] {
  const [only] = layers;
  if (layers.length === 1 && only && !only.hidden && !only.locked)
    return elements.map((element) => ({ element, locked: false }));
  return layers
    .filter((layer) => !layer.hidden)
    .flatMap((layer) =>
      elements.filter((e) => e.layer === layer.id).map((element) => ({ element, locked: layer.locked })),
    );
}
