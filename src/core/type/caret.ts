import type { Mm } from '../measure';
import type { ComposedText, Line } from './compose';

/** Where the caret stands: mm from the frame’s inner top-left corner. */
export interface CaretPlace {
  readonly x: Mm;
  readonly top: Mm;
  readonly height: Mm;
  readonly line: number;
}

/** Places within a line at which the caret can stand, left to right. */
function stops(line: Line): readonly { readonly at: number; readonly x: Mm }[] {
  const found = line.glyphs.filter((g) => g.text !== '').map((g) => ({ at: g.at, x: g.x }));
  const last = line.glyphs.at(-1);
  return [...found, { at: line.to, x: last ? last.x + last.advance : line.x }];
}

const allLines = (text: ComposedText) => [...text.lines, ...text.hidden];

/** The line an index of the typed text stands on: the last that starts at or before it. */
export function lineOfIndex(text: ComposedText, index: number): number {
  const lines = allLines(text);
  let found = 0;
  lines.forEach((line, i) => {
    if (line.from <= index) found = i;
  });
  return found;
}

export function caretAt(text: ComposedText, index: number): CaretPlace {
  const at = lineOfIndex(text, index);
  const line = allLines(text)[at];
  if (!line) return { x: 0, top: 0, height: text.ascent + text.descent, line: 0 };
  const before = stops(line).filter((s) => s.at <= index);
  const x = before.at(-1)?.x ?? line.x;
  return { x, top: line.baseline - text.ascent, height: text.ascent + text.descent, line: at };
}

/** The index nearest to a point. */
export function indexAt(text: ComposedText, x: Mm, y: Mm): number {
  const lines = allLines(text);
  const below = lines.findIndex((line) => y < line.baseline + text.descent);
  return indexOnLine(text, below < 0 ? lines.length - 1 : below, x);
}

/** The index on a line nearest to a distance from the left. */
export function indexOnLine(text: ComposedText, at: number, x: Mm): number {
  const lines = allLines(text);
  const line = lines[Math.min(Math.max(at, 0), lines.length - 1)];
  if (!line) return 0;
  let best = { at: line.from, far: Infinity };
  for (const stop of stops(line)) {
    const far = Math.abs(stop.x - x);
    if (far < best.far) best = { at: stop.at, far };
  }
  // The end of a line that was broken is the start of the next; stay on this one.
  const isBroken = best.at === line.to && lines[at + 1]?.from === line.to;
  return isBroken && line.to > line.from ? line.to - 1 : best.at;
}
