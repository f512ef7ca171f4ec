import { extentOf, type Measures, type TabStop } from '../element';
import type { Mm } from '../measure';
import type { Prepared, SetStop } from './prepared';

/** Stops that are there without being set: every half inch [cp]. */
const USUAL_STOP = 12.7;

/** Where the words of a line begin, mm from the left of the text, and how much room they have. */
export interface Measure {
  readonly begin: Mm;
  readonly width: Mm;
}

/** Words between two tabs, and where they begin on the line, mm from where its words begin. */
export interface TabPart {
  readonly from: number;
  readonly to: number;
  readonly x: Mm;
  /** What fills the way to it. */
  readonly leader?: { readonly text: string; readonly from: Mm; readonly to: Mm };
}

export const stopsOf = (tabs: readonly TabStop[], measures: Measures): readonly SetStop[] =>
  tabs.map((tab) => ({ ...tab, at: extentOf(tab.at, measures) })).sort((a, b) => a.at - b.at);

/**
 * Where the parts of a line with tabs stand.
 * @param measure where the line’s words begin, and from there to its right edge
 */
export function layTabs(
  p: Prepared,
  from: number,
  to: number,
  measure: Measure,
): { readonly parts: readonly TabPart[]; readonly width: Mm } {
  const { begin: indent, width: room } = measure;
  const advance = (a: number, b: number) => (p.sums[b] ?? 0) - (p.sums[a] ?? 0);
  const end = trimmed(p.text, from, to);
  const parts: TabPart[] = [];
  let x = 0;
  let at = from;
  let stop: SetStop | undefined;
  while (at <= end) {
    const tab = p.text.indexOf('\t', at);
    const until = tab < 0 || tab >= end ? end : tab;
    const width = advance(at, until);
    const begin = x;
    if (stop) {
      const wanted = stop.at - indent - widthBefore(stop, p, at, until, width);
      x = Math.max(begin, Math.min(wanted, room - width));
    }
    parts.push({
      from: at,
      to: until,
      x,
      ...(stop?.leader && x > begin && { leader: { text: stop.leader, from: begin, to: x } }),
    });
    x += width;
    if (until >= end) break;
    at = until + 1;
    stop = nextStop(p.stops, x + indent);
  }
  return { parts, width: x };
}

function nextStop(stops: readonly SetStop[], x: Mm): SetStop {
  const next = stops.find((s) => s.at > x + 1e-6);
  if (next) return next;
  return { at: (Math.floor(x / USUAL_STOP + 1e-6) + 1) * USUAL_STOP, align: 'left', leader: '' };
}

/** How much of the words stands before the stop. */
function widthBefore(stop: SetStop, p: Prepared, from: number, to: number, width: Mm): Mm {
  switch (stop.align) {
    case 'left':
      return 0;
    case 'centre':
      return width / 2;
    case 'right':
      return width;
    case 'decimal': {
      const point = p.text.slice(from, to).search(/[.,](?=\d*$)/);
      return point < 0 ? width : (p.sums[from + point] ?? 0) - (p.sums[from] ?? 0);
    }
  }
}

function trimmed(text: string, from: number, to: number): number {
  let end = to;
  while (end > from && text[end - 1] !== '\t' && /\s/.test(text[end - 1] ?? '')) end -= 1;
  return end;
}
