import type { Mm } from '../measure';
import { breakLines, type BrokenLine } from './break-lines';
import type { DropCap } from './drop-cap';
import type { Prepared } from './prepared';
import { headOf, nextSlot, type Column, type Cursor, type Slot } from './slots';
import type { Measure } from './tabs';

/** A paragraph on its way into columns. */
export interface Flowing {
  readonly p: Prepared;
  readonly drop: DropCap | undefined;
  /** Where the words of the first line begin, from the left of the text: past the sign of a list. */
  readonly firstBegin: Mm;
}

/** A line that has found its place. */
export interface FilledLine {
  readonly paragraph: number;
  readonly index: number;
  readonly line: BrokenLine;
  readonly slot: Slot;
  readonly measure: Measure;
}

interface Filled {
  readonly lines: readonly FilledLine[];
  readonly end: Cursor;
}

/** Tries at keeping lines together; what cannot be kept is let go. */
const TRIES = 4;

/** Flows paragraphs through columns, keeping together what wants to stay together. */
export function fill(paragraphs: readonly Flowing[], columns: readonly Column[]): readonly FilledLine[] {
  const starts: Cursor[] = [];
  const filled: Filled[] = [];
  const pushed = new Set<number>();
  let cursor: Cursor = headOf(0);
  for (let i = 0; i < paragraphs.length; i += 1) {
    const flowing = paragraphs[i];
    if (!flowing) break;
    starts[i] = cursor;
    filled[i] = placeParagraph(flowing, i, cursor, columns);
    const chain = chainBefore(paragraphs, i);
    const before = filled[i - 1]?.lines.at(-1)?.slot;
    const here = filled[i]?.lines[0]?.slot;
    const from = starts[chain];
    if (
      chain < i &&
      !pushed.has(chain) &&
      before &&
      here &&
      before.column !== here.column &&
      from?.baseline !== undefined &&
      here.column < columns.length
    ) {
      // What keeps with the next goes along to the column that the next begins in.
      pushed.add(chain);
      cursor = headOf(here.column);
      filled.length = chain;
      i = chain - 1;
      continue;
    }
    cursor = filled[i]?.end ?? cursor;
  }
  return filled.flatMap((f) => f.lines);
}

/** The first of the paragraphs in a row that keep with the next, up to one. */
function chainBefore(paragraphs: readonly Flowing[], i: number): number {
  let first = i;
  while (paragraphs[first - 1]?.p.look.keepWithNext) first -= 1;
  return first;
}

function placeParagraph(flowing: Flowing, index: number, from: Cursor, columns: readonly Column[]): Filled {
  const { p } = flowing;
  let cursor = from;
  const limits = new Map<number, number>();
  let placed = flow(flowing, index, cursor, columns, limits);
  for (let tries = 0; tries < TRIES; tries += 1) {
    const counts = countByColumn(placed.lines);
    const [first] = counts;
    const last = counts.at(-1);
    if (!first || !last || first === last) break;
    const total = placed.lines.length;
    const beyond = columns.length;
    if (first.count < Math.min(p.look.keepFirst, total) && cursor.baseline !== undefined && first.column + 1 < beyond) {
      cursor = headOf(first.column + 1);
      limits.clear();
    } else if (last.count < Math.min(p.look.keepLast, total) && last.column < beyond) {
      const before = counts.at(-2);
      if (!before || before.count < 2) break;
      limits.set(before.column, before.count - (p.look.keepLast - last.count));
    } else break;
    placed = flow(flowing, index, cursor, columns, limits);
  }
  return placed;
}

function countByColumn(lines: readonly FilledLine[]): { readonly column: number; count: number }[] {
  const counts: { readonly column: number; count: number }[] = [];
  for (const { slot } of lines) {
    const last = counts.at(-1);
    if (last?.column === slot.column) last.count += 1;
    else counts.push({ column: slot.column, count: 1 });
  }
  return counts;
}

/** Lays a paragraph into the slots that follow a cursor. @param limits most lines in some columns */
function flow(
  { p, drop, firstBegin }: Flowing,
  index: number,
  from: Cursor,
  columns: readonly Column[],
  limits: ReadonlyMap<number, number>,
): Filled {
  const slots: Slot[] = [];
  const inColumn = new Map<number, number>();
  let cursor = from;
  const height = { ascent: p.ascent, descent: p.descent, leading: p.leading, onGrid: p.look.onGrid };
  const slotAt = (line: number): Slot => {
    for (let known = slots[line]; ; known = slots[line]) {
      if (known) return known;
      const limit = limits.get(cursor.column);
      if (limit !== undefined && (inColumn.get(cursor.column) ?? 0) >= limit) cursor = headOf(cursor.column + 1);
      const slot = nextSlot(columns, cursor, height, slots.length === 0 ? p.before : 0);
      slots.push(slot);
      inColumn.set(slot.column, (inColumn.get(slot.column) ?? 0) + 1);
      cursor = { column: slot.column, baseline: slot.baseline, after: 0 };
    }
  };
  const measureOf = (line: number): Measure => {
    const slot = slotAt(line);
    const dropped = drop && line < drop.lines ? drop.width : 0;
    const begin = (line === 0 ? firstBegin : p.indent) + dropped;
    return { begin, width: Math.max(0, slot.width - begin - p.indentRight) };
  };
  const isPlain = columns.every((c) => !c.box.avoid && Math.abs(c.width - (columns[0]?.width ?? 0)) < 1e-9);
  const broken = isPlain
    ? brokenOnce(p, drop?.taken ?? 0, drop?.lines ?? 0, measureOf)
    : breakLines(p, drop?.taken ?? 0, measureOf, false);
  const lines = broken.map((line, i): FilledLine => ({
    paragraph: index,
    index: i,
    line,
    slot: slotAt(i),
    measure: measureOf(i),
  }));
  const last = slots[broken.length - 1];
  const first = slots[0];
  const under = drop && first && last?.column === first.column ? first.baseline + (drop.lines - 1) * p.leading : 0;
  return {
    lines,
    end: { column: last?.column ?? from.column, baseline: Math.max(last?.baseline ?? 0, under), after: p.after },
  };
}

const known = new WeakMap<Prepared, Map<string, readonly BrokenLine[]>>();

/** Breaks a paragraph whose lines are of one width but for the first ones, and remembers how. */
function brokenOnce(
  p: Prepared,
  from: number,
  special: number,
  measureOf: (line: number) => Measure,
): readonly BrokenLine[] {
  const mine = known.get(p) ?? new Map<string, readonly BrokenLine[]>();
  known.set(p, mine);
  const count = Math.max(1, special);
  const first = Array.from({ length: count + 1 }, (_, i) => measureOf(i));
  const key = first.map(({ begin, width }) => `${begin},${width}`).join(' ') + ` ${from}`;
  const before = mine.get(key);
  if (before) return before;
  const rest = first[count] ?? { begin: 0, width: 0 };
  const isUniform = first.every((m) => Math.abs(m.width - rest.width) < 1e-9);
  const made = breakLines(p, from, (line) => first[line] ?? rest, isUniform);
  // A few widths are in use at a time: that of the frame, and those tried while it is solved.
  if (mine.size > 16) mine.clear();
  mine.set(key, made);
  return made;
}
