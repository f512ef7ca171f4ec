import { insetsOf, type Element } from '../element';
import { grow, negated, positive, type Rect, type SurfaceBoxes } from '../layout';
import { extentOf } from '../element';
import { ptToMm } from '../measure';
import { fitText, type LookedParagraph, type TextBox, type TypeContext } from '../type';
import type { BaselineGrid, TextElement } from '../job';
import type { ElementContext } from './context';
import { avoiding, obstaclesOn } from './wrap';
import type { Story } from './set-words';

/** A text frame and the side it is on. */
export interface StoryFrame {
  readonly element: TextElement;
  readonly side: string;
  readonly boxes: SurfaceBoxes;
  readonly elements: readonly Element[];
}

/** Where a frame’s text stands, before it is turned. */
export function innerOf(element: TextElement, rect: Rect, boxes: SurfaceBoxes): Rect {
  return positive(grow(rect, negated(insetsOf(element.inset, boxes.measures))));
}

/** The baseline grid as a frame sees it: from the head of its text. */
function gridIn(inner: Rect, grid: BaselineGrid | null, boxes: SurfaceBoxes): TextBox['grid'] {
  if (!grid) return undefined;
  return { first: boxes.trim.y + extentOf(grid.first, boxes.measures) - inner.y, step: ptToMm(grid.stepPt) };
}

export function boxOfFrame({ element, boxes, elements }: StoryFrame, grid: BaselineGrid | null): TextBox {
  const placed = boxes.placed[element.id] ?? { x: 0, y: 0, width: 0, height: 0 };
  const inner = innerOf(element, positive(placed), boxes);
  const isUpright = element.placement.rotate === 0 && element.placement.shear === 0;
  const obstacles = obstaclesOn(elements, boxes).filter((obstacle) => obstacle.element !== element.id);
  return {
    width: inner.width,
    height: inner.height,
    columns: element.columns,
    columnGap: extentOf(element.columnGap, boxes.measures),
    vertical: element.vertical,
    balance: element.balance,
    grid: gridIn(inner, grid, boxes),
    avoid: isUpright && obstacles.length > 0 ? avoiding(obstacles, inner) : undefined,
  };
}

/** Paragraphs of a text with their whole looks. */
export const lookedParagraphs = (
  element: TextElement,
  { book }: Pick<TypeContext, 'book'>,
): readonly LookedParagraph[] =>
  element.paragraphs.map((paragraph) => ({ paragraph, look: book.paragraph(element, paragraph) }));

/** The words of a story: those of its first frame, and those that later frames were given themselves. */
export const storyParagraphs = (
  frames: readonly TextElement[],
  context: Pick<TypeContext, 'book'>,
): readonly LookedParagraph[] =>
  frames.flatMap((frame, i) => (i > 0 && isEmpty(frame) ? [] : lookedParagraphs(frame, context)));

/** Has no words. */
export const isEmpty = (text: TextElement): boolean => text.paragraphs.every((p) => p.runs.every((r) => r.text === ''));

export function composeStory(frames: readonly StoryFrame[], context: ElementContext, grid: BaselineGrid | null): Story {
  const [first] = frames;
  if (!first) throw new RangeError('A story without a frame.');
  const language = first.element.language ?? context.language;
  const elements = frames.map((f) => f.element);
  const boxes = frames.map((frame) => boxOfFrame(frame, grid));
  const looked = storyParagraphs(elements, context.type);
  // Along an outline there is no frame to be full.
  const along =
    first.element.along && boxes[0] ? [{ ...boxes[0], width: 1e6, height: 1e6, vertical: 'top' as const }] : boxes;
  return { ...fitText(looked, along, first.element.fit, language, context.type), chain: elements.map((e) => e.id) };
}

/** Frames of the piece in the order in which text flows through them, each story from its first. */
export function chainsOf(texts: readonly TextElement[]): readonly (readonly TextElement[])[] {
  const ids = new Set(texts.map((t) => t.id));
  const next = new Map<string, TextElement>();
  for (const text of texts) if (text.after !== null && !next.has(text.after)) next.set(text.after, text);
  const isHead = (text: TextElement) => text.after === null || !ids.has(text.after) || next.get(text.after) !== text;
  const chains: TextElement[][] = [];
  const seen = new Set<string>();
  const follow = (head: TextElement) => {
    const chain: TextElement[] = [];
    for (let at: TextElement | undefined = head; at && !seen.has(at.id); at = next.get(at.id)) {
      seen.add(at.id);
      chain.push(at);
    }
    if (chain.length > 0) chains.push(chain);
  };
  texts.filter(isHead).forEach(follow);
  // A circle has no first frame; it begins where it is met.
  texts.forEach(follow);
  return chains;
}
