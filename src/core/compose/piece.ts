import { itemsOf, type Drawing } from '../drawing';
import { hasFields, textsIn, type Element, type ElementOf, type FieldValues } from '../element';
import type { Finishing } from '../finish';
import { facingOf, type BlankSurface } from '../format';
import { elementsOn, type Piece, type SideName } from '../job';
import { positive, solveLayout, type ContentReader, type PlacedBox, type Rect, type SurfaceBoxes } from '../layout';
import type { Turn } from '../printable';
import type { TypeContext } from '../type';
import { crossing, finishRepeated, withBarePaper, withRepeats } from './bare';
import { withClip } from './clip';
import { contentReader } from './content-size';
import { composeElement } from './element';
import { fieldValues } from './field-values';
import { composeFinish } from './finish';
import { chainsOf, composeStory, type Story, type StoryFrame, type TextElement } from './story';
import { setTable, type SetTable } from './set-table';
import type { Composed, ComposeContext, ElementContext } from './context';
import { turnsOf } from './turns';
import { obstaclesOn } from './wrap';

/** What orders the elements of a side. */
type SideOrder = Pick<Piece, 'grids' | 'groups' | 'guides' | 'layers'> & { readonly finish: readonly Finishing[] };

/** A surface to draw: its boxes, and what of it is bare or repeated. */
export type SurfaceToDraw = Pick<BlankSurface, 'name' | 'boxes' | 'zones' | 'repeats'>;

/** A piece, drawn. */
export interface DrawnPiece {
  /** One for each surface that was asked for, in their order. */
  readonly drawings: readonly Drawing[];
  /** The text that an element shows, or shows a part of. */
  readonly story: (id: string) => Story | undefined;
}

/**
 * Draws a piece again and again while its job is edited: a side on which nothing changed gives the same drawing, and an
 * element that did not change is not laid out twice. Make a new one when the ground changes.
 */
export interface Composer {
  /**
   * @param surfaces all that the piece has, in reading order
   * @param wanted names of those to draw; left out, all of them
   */
  readonly piece: (piece: Piece, surfaces: readonly SurfaceToDraw[], wanted?: readonly SideName[]) => DrawnPiece;
}

/** Remembers the last thing made under a name, and what it was made of. */
function memo<T>() {
  const known = new Map<string, { readonly from: readonly unknown[]; readonly made: T }>();
  return (name: string, from: readonly unknown[], make: () => T): T => {
    const before = known.get(name);
    if (before?.from.length === from.length && before.from.every((v, i) => v === from[i])) return before.made;
    const made = make();
    known.set(name, { from, made });
    return made;
  };
}

export function createComposer(context: ComposeContext): Composer {
  const contexts = new Map<string, TypeContext>();
  /** Measures are few and small: alike ones give the same context, on whichever side. */
  const typeContext = (measures: SurfaceBoxes['measures'], fields?: FieldValues): TypeContext => {
    const key = JSON.stringify([measures, fields]);
    const { book, fonts, hyphenator } = context;
    const made = contexts.get(key) ?? { book, fonts, measures, hyphenator, ...(fields && { fields }) };
    contexts.set(key, made);
    return made;
  };
  const unplaced = (boxes: SurfaceBoxes, turn: Turn): ElementContext => ({
    ...context,
    boxes,
    turn,
    type: typeContext(boxes.measures),
    shape: () => undefined,
    text: () => undefined,
    table: () => undefined,
    story: () => undefined,
  });
  const contents = new WeakMap<SurfaceBoxes, Map<string, ContentReader>>();
  const content = (boxes: SurfaceBoxes, turn: Turn): ContentReader => {
    const mine = contents.get(boxes) ?? new Map<string, ContentReader>();
    contents.set(boxes, mine);
    const made = mine.get(keyOfTurn(turn)) ?? rememberedSizes(contentReader(unplaced(boxes, turn)));
    mine.set(keyOfTurn(turn), made);
    return made;
  };
  const settledOf = memo<SurfaceBoxes>();
  const storyOf = memo<Story>();
  const tableOf = memo<SetTable>();
  const drawnOf = memo<Drawing>();
  const finishedOf = memo<Drawing>();
  const elements = new WeakMap<
    Element,
    { readonly from: readonly unknown[]; readonly placed: PlacedBox; readonly composed: Composed }
  >();

  const compose = (element: Element, context: ElementContext): Composed => {
    const { boxes } = context;
    const placed = boxes.placed[element.id];
    if (!placed) throw new RangeError(`“${element.id}” is not on this side.`);
    const looksAround = element.repeat.length > 0 || (element.kind === 'text' && element.along !== null);
    const from = [
      looksAround ? boxes : undefined,
      element.kind === 'text' ? context.story(element.id) : context.table(element.id),
      element.kind === 'printable' ? keyOfTurn(context.turn) : undefined,
    ];
    const before = elements.get(element);
    if (before && sameBox(before.placed, placed) && before.from.every((v, i) => v === from[i])) return before.composed;
    const composed = composeElement(element, placed, context);
    elements.set(element, { from, placed, composed });
    return composed;
  };

  const drawSide = (name: SideName, list: readonly Element[], order: SideOrder, context: ElementContext): Drawing => {
    const composed = inPaintOrder(list, order).map(({ element, locked }) => {
      const made = compose(element, context);
      const clipped = element.clipTo === null ? made : withClip(made, element, list, context.boxes);
      return locked ? { ...clipped, frame: { ...clipped.frame, locked } } : clipped;
    });
    const frames = composed.map((c) => c.frame);
    const finished = composeFinish(order.finish, frames, context);
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
  };

  /** Setting the texts of a side; those that their page fills in know what with. */
  const aroundOn = (
    { name, boxes, turn }: DrawnSide,
    texts: readonly TextElement[],
    values: (side: SideName) => FieldValues,
  ): ElementContext => {
    const plain = unplaced(boxes, turn);
    const isFilled = texts.some((t) => t.paragraphs.some((p) => p.runs.some((r) => hasFields(r.text))));
    return isFilled ? { ...plain, type: typeContext(boxes.measures, { ...values(name) }) } : plain;
  };

  const storiesOf = (
    piece: Piece,
    chains: readonly (readonly TextElement[])[],
    sideOf: (text: string) => DrawnSide | undefined,
    values: (side: SideName) => FieldValues,
  ) => {
    const found = new Map<string, Story>();
    for (const chain of chains) {
      const parts = chain.flatMap((element): StoryFrame[] => {
        const side = sideOf(element.id);
        return side ? [{ element, side: side.name, boxes: side.boxes, elements: side.list }] : [];
      });
      const [first] = parts;
      if (!first) continue;
      const around = aroundOn({ name: first.side, boxes: first.boxes, turn: FIRST_TURN, list: [] }, chain, values);
      const from = [around.type, piece.baselineGrid, ...parts.flatMap((frame) => storyInputs(frame))];
      const story = storyOf(first.element.id, from, () => composeStory(parts, around, piece.baselineGrid));
      for (const { element } of parts) found.set(element.id, story);
    }
    return found;
  };

  /** A cell whose words, look and box are as they were keeps its lines. */
  const tablesOf = (piece: Piece, sides: readonly DrawnSide[], values: (side: SideName) => FieldValues) => {
    const found = new Map<string, SetTable>();
    for (const { name, boxes, turn, list } of sides)
      for (const table of list) {
        const placed = boxes.placed[table.id];
        if (table.kind !== 'table' || !placed) continue;
        const around = aroundOn({ name, boxes, turn, list }, textsIn(table, context.book), values);
        const { x, y, width, height } = placed;
        const set = tableOf(table.id, [table, around.type, piece.baselineGrid, x, y, width, height], () =>
          setTable(table, positive(placed), around, (text, rect) => {
            const { paragraphs, ...rest } = text;
            return storyOf(text.id, [paragraphs, JSON.stringify([rest, rect]), around.type, piece.baselineGrid], () =>
              composeStory(
                [{ element: text, side: name, boxes: inCell(boxes, text.id, rect), elements: [] }],
                around,
                piece.baselineGrid,
              ),
            );
          }),
        );
        found.set(table.id, set);
      }
    return found;
  };

  return {
    piece: (piece, surfaces, wanted) => {
      const { grids, groups, guides, layers } = piece;
      const byName = new Map(surfaces.map((s) => [s.name, s]));
      const asked = wanted ? [...wanted].flatMap((name) => byName.get(name) ?? []) : surfaces;
      // What is asked for may show a part of the page beside it, or artwork of another side.
      const shown = new Set(
        asked.flatMap(({ name, repeats, boxes }) => [
          name,
          ...(repeats ? [repeats.surface] : []),
          ...(boxes.spread === boxes.trim ? [] : [facingOf(name) ?? name]),
        ]),
      );
      const lists = new Map(surfaces.map(({ name }) => [name, elementsOn(piece, name)]));
      const texts = new Map(
        [...lists].flatMap(([name, list]) =>
          list.flatMap((e): [string, { name: SideName; text: TextElement }][] =>
            e.kind === 'text' ? [[e.id, { name, text: e }]] : [],
          ),
        ),
      );
      const chains = chainsOf([...texts.values()].map(({ text }) => text)).filter((chain) =>
        chain.some((t) => shown.has(texts.get(t.id)?.name ?? '')),
      );
      const settled = new Map<SideName, DrawnSide>();
      const turnOf = turnsOf(
        piece,
        surfaces.map((s) => s.name),
      );
      const sideOf = (name: SideName): DrawnSide | undefined => {
        const [surface, list] = [byName.get(name), lists.get(name)];
        if (!surface || !list) return undefined;
        const turn = turnOf(name);
        const made = settled.get(name) ?? {
          name,
          list,
          turn,
          boxes: settledOf(name, [list, grids, groups, guides, surface.boxes, keyOfTurn(turn)], () =>
            solveLayout(
              surface.boxes,
              { side: name, elements: list, grids, groups, guides },
              content(surface.boxes, turn),
            ),
          ),
        };
        settled.set(name, made);
        return made;
      };
      const sides = [...shown].flatMap((name) => sideOf(name) ?? []);
      const values = fieldValues(
        piece,
        surfaces.map((s) => s.name),
      );
      const stories = storiesOf(piece, chains, (id) => sideOf(texts.get(id)?.name ?? ''), values);
      const tables = tablesOf(piece, sides, values);
      for (const { cells } of tables.values()) for (const { text, story } of cells) stories.set(text.id, story);
      const plain = new Map(
        sides.map(({ name, boxes, turn, list }) => {
          const zones = byName.get(name)?.zones ?? [];
          const mine = list.flatMap((e): readonly unknown[] =>
            e.kind === 'text' ? [stories.get(e.id)] : e.kind === 'table' ? [tables.get(e.id)] : [],
          );
          const finish = piece.finish?.[name] ?? NO_FINISH;
          const drawing = drawnOf(
            name,
            [
              boxes,
              list,
              layers,
              zones,
              finish,
              list.some((e) => e.kind === 'printable') ? keyOfTurn(turn) : undefined,
              ...mine,
            ],
            () => {
              const shapes = new Map(
                list.flatMap((e): [string, ElementOf<'shape'>][] => (e.kind === 'shape' ? [[e.id, e]] : [])),
              );
              const context: ElementContext = {
                ...unplaced(boxes, turn),
                shape: (id) => shapes.get(id),
                text: (id) => texts.get(id)?.text,
                table: (id) => tables.get(id),
                story: (id) => stories.get(id),
              };
              return withBarePaper(drawSide(name, list, { grids, groups, guides, layers, finish }, context), zones);
            },
          );
          return [name, drawing] as const;
        }),
      );
      const drawings = asked.map(({ name, repeats }): Drawing => {
        const drawing = plain.get(name);
        if (!drawing) throw new RangeError(`“${name}” was not drawn.`);
        const source = repeats && plain.get(repeats.surface);
        if (repeats && source)
          return finishedOf(name, [drawing, source, repeats], () => {
            const { lines, coats } = finishRepeated(source, repeats.at);
            return {
              ...withRepeats(drawing, itemsOf(source), repeats.at),
              lines: [...drawing.lines, ...lines],
              coats: [...drawing.coats, ...coats],
            };
          });
        const facing = drawing.boxes.spread === drawing.boxes.trim ? undefined : plain.get(facingOf(name) ?? '');
        if (!facing) return drawing;
        return finishedOf(name, [drawing, facing], () => {
          const { items, dx } = crossing(drawing, facing);
          return items.length > 0 ? withRepeats(drawing, items, [{ x: dx, y: 0 }]) : drawing;
        });
      });
      return { drawings, story: (id) => stories.get(id) };
    },
  };
}

interface DrawnSide {
  readonly name: SideName;
  readonly boxes: SurfaceBoxes;
  readonly turn: Turn;
  readonly list: readonly Element[];
}

const NO_FINISH: readonly Finishing[] = [];
const FIRST_TURN: Turn = { index: 0, isLeft: false };
const keyOfTurn = ({ index, isLeft }: Turn): string => `${index}${isLeft ? ' left' : ''}`;

/** The boxes as the text of a cell sees them: it stands where the cell does. */
const inCell = (boxes: SurfaceBoxes, id: string, rect: Rect): SurfaceBoxes => ({
  ...boxes,
  placed: { ...boxes.placed, [id]: { ...rect, name: '', rotate: 0 } },
});

/** Set text is measured once for each width. */
function rememberedSizes(reader: ContentReader): ContentReader {
  const sizes = new WeakMap<Element, Map<string, number>>();
  return {
    ...reader,
    size: (element, axis, other) => {
      const mine = sizes.get(element) ?? new Map<string, number>();
      sizes.set(element, mine);
      const key = `${axis} ${other ?? ''}`;
      const size = mine.get(key) ?? reader.size(element, axis, other);
      mine.set(key, size);
      return size;
    },
  };
}

/** What the text of a frame depends on: itself, its place, and what it keeps clear of. */
function storyInputs({ element, boxes, elements }: StoryFrame): readonly unknown[] {
  const own = boxes.placed[element.id];
  const around = elements.some((e) => e.wrap !== null) ? JSON.stringify(obstaclesOn(elements, boxes)) : '';
  return [element, own?.x, own?.y, own?.width, own?.height, around];
}

const sameBox = (a: PlacedBox, b: PlacedBox): boolean =>
  a.x === b.x && a.y === b.y && a.width === b.width && a.height === b.height;

/** What is shown, lowest first: layer by layer, hidden ones left out. */
function inPaintOrder(
  elements: readonly Element[],
  { layers }: SideOrder,
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
