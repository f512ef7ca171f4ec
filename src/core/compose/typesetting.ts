import { hasFields, textsIn, type Element, type FieldValues, type TextElement } from '../element';
import { elementsOn, type Piece, type SideName } from '../job';
import { positive, type Rect, type SurfaceBoxes } from '../layout';
import type { Turn } from '../printable';
import type { TypeContext } from '../type';
import type { ElementContext } from './context';
import { fieldValues } from './field-values';
import { weakMemo } from './memo';
import { bareContext, type Memory } from './memory';
import { setTable } from './set-table';
import type { SetTable, Story, TextOnSide, Words } from './set-words';
import type { PlacedSide, SurfaceToDraw } from './sides';
import { chainsOf, composeStory, type StoryFrame } from './story';
import { obstaclesOn } from './wrap';

/** The words of a piece, set: texts and tables by the names of their elements. */
export interface Typesetting {
  readonly text: (id: string) => TextElement | undefined;
  readonly story: (id: string) => Story | undefined;
  readonly table: (id: string) => SetTable | undefined;
}

interface Setting {
  readonly memory: Memory;
  readonly piece: Piece;
  readonly sideOf: (name: SideName) => PlacedSide | undefined;
  /** What pages fill into their texts. */
  readonly valuesOn: (side: SideName) => FieldValues;
}

/**
 * Sets all the words that some sides show.
 * @param shown sides that are drawn; a text that begins on another is set as a whole
 */
export function typeset(
  memory: Memory,
  piece: Piece,
  surfaces: readonly SurfaceToDraw[],
  sideOf: (name: SideName) => PlacedSide | undefined,
  shown: readonly PlacedSide[],
): Typesetting {
  const names = surfaces.map(({ name }) => name);
  const setting: Setting = { memory, piece, sideOf, valuesOn: fieldValues(piece, names) };
  const found = names.flatMap((side) => textsOn(piece, side));
  const words = memory.words('words', found, () => flowing(found));
  const stories = setStories(setting, words, new Set(shown.map(({ name }) => name)));
  const tables = setTables(setting, shown);
  for (const { cells } of tables.values()) for (const { text, story } of cells) stories.set(text.id, story);
  return {
    text: (id) => words.texts.get(id)?.text,
    story: (id) => stories.get(id),
    table: (id) => tables.get(id),
  };
}

/** The texts of a side, each the same as long as it does not change. */
const textsOn = (piece: Piece, side: SideName): readonly TextOnSide[] =>
  elementsOn(piece, side)
    .filter((element) => element.kind === 'text')
    .map((text) => onSide(text, [side], () => ({ side, text })));

const onSide = weakMemo<TextOnSide>();

const flowing = (found: readonly TextOnSide[]): Words => ({
  texts: new Map(found.map((on) => [on.text.id, on])),
  chains: chainsOf(found.map(({ text }) => text)),
});

const FIRST_TURN: Turn = { index: 0, isLeft: false };

/** Texts that flow from frame to frame are set as one. */
function setStories(setting: Setting, { texts, chains }: Words, shown: ReadonlySet<SideName>): Map<string, Story> {
  const { memory, piece, sideOf } = setting;
  const isShown = ({ id }: TextElement) => shown.has(texts.get(id)?.side ?? '');
  const found = new Map<string, Story>();
  for (const chain of chains) {
    if (!chain.some(isShown)) continue;
    const frames = chain.flatMap((element): StoryFrame[] => {
      const side = sideOf(texts.get(element.id)?.side ?? '');
      return side ? [{ element, side: side.name, boxes: side.boxes, elements: side.elements }] : [];
    });
    const [first] = frames;
    if (!first) continue;
    const on = { name: first.side, boxes: first.boxes, turn: FIRST_TURN };
    const type = typeOn(setting, on, chain);
    const from = [type, piece.baselineGrid, ...frames.flatMap(dependenciesOf)];
    const story = memory.stories(first.element.id, from, () =>
      composeStory(frames, textContext(setting, on, type), piece.baselineGrid),
    );
    for (const { element } of frames) found.set(element.id, story);
  }
  return found;
}

/** What the text of a frame depends on: itself, its place, and what it keeps clear of. */
function dependenciesOf({ element, boxes, elements }: StoryFrame): readonly unknown[] {
  // What did not move has the same box.
  return [element, boxes.placed[element.id], wordsKeepOff(elements, boxes)];
}

const keptOff = weakMemo<string>();

/** What the words of a side keep off, as text: the same for all of its frames. */
const wordsKeepOff = (elements: readonly Element[], boxes: SurfaceBoxes): string =>
  keptOff(elements, [boxes], () => {
    const obstacles = obstaclesOn(elements, boxes);
    return obstacles.length > 0 ? JSON.stringify(obstacles) : '';
  });

function setTables(setting: Setting, sides: readonly PlacedSide[]): ReadonlyMap<string, SetTable> {
  const { memory, piece } = setting;
  const found = new Map<string, SetTable>();
  for (const side of sides)
    for (const table of side.elements) {
      const placed = side.boxes.placed[table.id];
      if (table.kind !== 'table' || !placed) continue;
      const type = typeOn(setting, side, textsIn(table, memory.context.book));
      const context = textContext(setting, side, type);
      const from = [table, type, piece.baselineGrid, placed];
      const set = memory.tables(table.id, from, () =>
        setTable(table, positive(placed), context, (text, rect) => setCell(setting, side, context, text, rect)),
      );
      found.set(table.id, set);
    }
  return found;
}

/** A cell whose words, look and box are as they were keeps its lines. */
function setCell(
  { memory, piece }: Setting,
  { name, boxes }: PlacedSide,
  context: ElementContext,
  text: TextElement,
  rect: Rect,
): Story {
  const { paragraphs, ...rest } = text;
  const from = [paragraphs, JSON.stringify([rest, rect]), context.type, piece.baselineGrid];
  return memory.stories(text.id, from, () => {
    const frame = { element: text, side: name, boxes: inCell(boxes, text.id, rect), elements: [] };
    return composeStory([frame], context, piece.baselineGrid);
  });
}

/** The boxes as the text of a cell sees them: it stands where the cell does. */
const inCell = (boxes: SurfaceBoxes, id: string, rect: Rect): SurfaceBoxes => ({
  ...boxes,
  placed: { ...boxes.placed, [id]: { ...rect, name: '', rotate: 0 } },
});

type OnSide = Pick<PlacedSide, 'name' | 'boxes' | 'turn'>;

/** What texts of a side are set with; those that their page fills in know what with. */
const typeOn = (
  { memory, valuesOn }: Setting,
  { name, boxes: { measures } }: OnSide,
  texts: readonly TextElement[],
): TypeContext => memory.typeContext(measures, texts.some(isFilledIn) ? { ...valuesOn(name) } : undefined);

const filledIn = weakMemo<boolean>();

const isFilledIn = ({ paragraphs }: TextElement): boolean =>
  filledIn(paragraphs, [], () => paragraphs.some((p) => p.runs.some((r) => hasFields(r.text))));

const textContext = ({ memory }: Setting, { boxes, turn }: OnSide, type: TypeContext): ElementContext => ({
  ...bareContext(memory.context, boxes, turn, memory.typeContext),
  type,
});
