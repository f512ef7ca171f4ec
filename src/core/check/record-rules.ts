import { leavesOf, type Drawing, type Frame, type Note } from '../drawing';
import { TOUCH, type Rect } from '../layout';
import { codeQuietRule } from './code-quiet';
import { codeSmallRule } from './code-small';
import { codeWrongRule } from './code-wrong';
import { missingRule } from './missing';
import type { Rule } from './rule';
import { safeAreaRule } from './safe-area';
import { typeSmallRule } from './type-small';
import { tablePastBoxRule } from './table-past-box';
import { textOverflowRule } from './text-overflow';

/** Notes that something is wrong with what a copy says, and the rules that put them into words. */
const OF_RECORDS: Readonly<Partial<Record<Note['kind'], Rule>>> = {
  overflow: textOverflowRule,
  'table-past-box': tablePastBoxRule,
  'missing-picture': missingRule,
  'missing-glyphs': missingRule,
  'code-wrong': codeWrongRule,
};

/**
 * The rules that one of many copies needs: all that its drawing notes, and those of codes that came out otherwise.
 * @param like the drawing of the copy that every rule has seen
 */
export function recordRules(drawing: Drawing, like: Drawing | undefined): readonly Rule[] {
  const { notes, frames, boxes } = drawing;
  const rules = new Set<Rule>();
  // Words that grow with what they say may reach where the knife is.
  if (frames.some((frame) => isElsewhere(frame, like) && !isWithin(frame.ink, boxes.safe))) rules.add(safeAreaRule);
  // Words that are made to fit become small where there are many.
  if (frames.some((frame) => isSmaller(frame, like))) rules.add(typeSmallRule);
  for (const note of notes) {
    const rule = OF_RECORDS[note.kind];
    if (rule) rules.add(rule);
    if (note.kind === 'code' && !like?.notes.some((n) => n.kind === 'code' && isSameCode(n, note)))
      for (const own of [codeSmallRule, codeQuietRule]) rules.add(own);
  }
  return [...rules];
}

/** Whether something lies otherwise than in another drawing of its side. */
export function isElsewhere({ element, rect }: Frame, like: Drawing | undefined): boolean {
  const there = like?.frames.find((frame) => frame.element === element)?.rect;
  return !there || Math.max(...EDGES.map((edge) => Math.abs(there[edge] - rect[edge]))) > TOUCH;
}

/** Whether something is set in smaller type than on another drawing of its side. */
function isSmaller(frame: Frame, like: Drawing | undefined): boolean {
  if (frame.kind !== 'text') return false;
  const there = like?.frames.find(({ element }) => element === frame.element);
  return there === undefined || smallest(frame) < smallest(there) - TOUCH;
}

const smallest = ({ items }: Frame): number =>
  leavesOf(items).reduce((least, item) => (item.kind === 'glyphs' ? Math.min(least, item.size) : least), Infinity);

const EDGES = ['x', 'y', 'width', 'height'] as const;

const isWithin = (inner: Rect, outer: Rect): boolean =>
  inner.x >= outer.x - TOUCH &&
  inner.y >= outer.y - TOUCH &&
  inner.x + inner.width <= outer.x + outer.width + TOUCH &&
  inner.y + inner.height <= outer.y + outer.height + TOUCH;

type CodeNote = Extract<Note, { kind: 'code' }>;

const isSameCode = (a: CodeNote, b: CodeNote): boolean =>
  a.element === b.element && Math.abs(a.module - b.module) < 1e-9 && Math.abs(a.whole.width - b.whole.width) < 1e-6;
