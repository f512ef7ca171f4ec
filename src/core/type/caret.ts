import type { Mm } from '../measure';
import type { ComposedText, Line } from './compose';

/** Where the caret stands: mm from the inner top-left corner of its frame. */
export interface CaretPlace {
  readonly frame: number;
  readonly x: Mm;
  readonly top: Mm;
  readonly height: Mm;
  readonly line: number;
}

/** Places within a line at which the caret can stand, left to right. */
function stops(line: Line): readonly { readonly at: number; readonly x: Mm }[] {
  const typed = line.glyphs.filter((g) => g.text !== '' && g.at >= 0);
  const found = typed.map((g) => ({ at: line.start + g.at, x: line.left + g.x }));
  const last = typed.at(-1);
  return [...found, { at: line.to, x: last ? line.left + last.x + last.advance : line.x }];
}

/** All lines, with those that are not seen. */
export const allLines = (text: ComposedText): readonly Line[] => [...text.lines, ...text.hidden];

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
  if (!line) return { frame: 0, x: 0, top: 0, height: 4, line: 0 };
  const before = stops(line).filter((s) => s.at <= index);
  const x = before.at(-1)?.x ?? line.x;
  return { frame: line.frame, x, top: line.baseline - line.ascent, height: line.ascent + line.descent, line: at };
}

/** The index nearest to a point of a frame. */
export function indexAt(text: ComposedText, frame: number, x: Mm, y: Mm): number {
  const lines = allLines(text);
  const far = (line: Line): number => {
    const [top, bottom] = [line.baseline - line.ascent, line.baseline + line.descent];
    const below = y < top ? top - y : y > bottom ? y - bottom : 0;
    const beside = x < line.x ? line.x - x : Math.max(0, x - line.x - line.width);
    return (line.frame === frame ? 0 : 1e9) + below * 100 + beside;
  };
  let best = 0;
  lines.forEach((line, i) => {
    const nearest = lines[best];
    if (nearest && far(line) < far(nearest)) best = i;
  });
  return indexOnLine(text, best, x);
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
