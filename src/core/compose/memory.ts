import type { Drawing } from '../drawing';
import type { Element, FieldValues } from '../element';
import { createLayoutSolver, type ContentReader, type LayoutSolver, type SurfaceBoxes } from '../layout';
import type { SideName } from '../job';
import type { Turn } from '../printable';
import type { TypeContext } from '../type';
import { contentReader } from './content-size';
import type { ComposeContext, Composed, ElementContext } from './context';
import { keyOfTurn } from './turns';
import { memo, weakMemo, type Memo } from './memo';
import type { SetTable } from './set-words';
import type { Story, Words } from './set-words';

/** What a composer remembers from one drawing of a piece to the next. */
export interface Memory {
  readonly context: ComposeContext;
  /** Boxes of each side with its elements placed. */
  readonly solved: Memo<SurfaceBoxes>;
  readonly solverOn: (side: SideName) => LayoutSolver;
  readonly words: Memo<Words>;
  readonly stories: Memo<Story>;
  readonly tables: Memo<SetTable>;
  readonly composed: (element: Element, from: readonly unknown[], make: () => Composed) => Composed;
  /** Sides as they are by themselves, and with what comes to them from others. */
  readonly drawn: Memo<Drawing>;
  readonly finished: Memo<Drawing>;
  /** Measures are few and small: alike ones give the same context, on whichever side. */
  readonly typeContext: (measures: SurfaceBoxes['measures'], fields?: FieldValues) => TypeContext;
  readonly contentOn: (boxes: SurfaceBoxes, turn: Turn) => ContentReader;
}

export function createMemory(context: ComposeContext): Memory {
  const { book, fonts, hyphenator } = context;
  const typeContexts = new Map<string, TypeContext>();
  const keyOf = weakMemo<string>();
  const typeContext: Memory['typeContext'] = (measures, fields) => {
    const key = `${keyOf(measures, [], () => JSON.stringify(measures))} ${fields ? JSON.stringify(fields) : ''}`;
    const made = typeContexts.get(key) ?? { book, fonts, measures, hyphenator, ...(fields && { fields }) };
    typeContexts.set(key, made);
    return made;
  };
  const solvers = new Map<SideName, LayoutSolver>();
  const solverOn: Memory['solverOn'] = (side) => {
    const made = solvers.get(side) ?? createLayoutSolver();
    solvers.set(side, made);
    return made;
  };
  const readers = new WeakMap<SurfaceBoxes, Map<string, ContentReader>>();
  const contentOn: Memory['contentOn'] = (boxes, turn) => {
    const mine = readers.get(boxes) ?? new Map<string, ContentReader>();
    readers.set(boxes, mine);
    const key = keyOfTurn(turn);
    const made = mine.get(key) ?? memoizedSizes(contentReader(bareContext(context, boxes, turn, typeContext)));
    mine.set(key, made);
    return made;
  };
  return {
    context,
    solved: memo(),
    solverOn,
    words: memo(),
    stories: memo(),
    tables: memo(),
    composed: weakMemo(),
    drawn: memo(),
    finished: memo(),
    typeContext,
    contentOn,
  };
}

/** The context of an element on a side of which nothing else is known yet. */
export const bareContext = (
  context: ComposeContext,
  boxes: SurfaceBoxes,
  turn: Turn,
  typeContext: Memory['typeContext'],
): ElementContext => ({
  ...context,
  boxes,
  turn,
  type: typeContext(boxes.measures),
  shape: () => undefined,
  text: () => undefined,
  table: () => undefined,
  story: () => undefined,
});

/** Set text is measured once for each width. */
function memoizedSizes(reader: ContentReader): ContentReader {
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
