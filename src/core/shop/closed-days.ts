import { civilOf, occasionsIn, readDay, readNamedDays, writeDay, type Day } from '../dates';
import type { Parsed } from '../measure';
import type { ClosedSpan } from './records';

const LINE = /^(\d{4}-\d{1,2}-\d{1,2})(?:\s*(?:to|–|-|until)\s*(\d{4}-\d{1,2}-\d{1,2}))?(.*)$/i;

/** Days on which a house is closed, one span a line: `2026-12-24 to 2027-01-03 Works holiday`. */
export function readClosed(text: string): Parsed<ClosedSpan[]> {
  const spans: ClosedSpan[] = [];
  let at = 0;
  for (const raw of text.split('\n')) {
    const line = raw.trim();
    const fail = (message: string): Parsed<ClosedSpan[]> => ({
      ok: false,
      error: { at, length: raw.length, message: `“${line}”: ${message}` },
    });
    if (line !== '') {
      const [, from, to, why = ''] = LINE.exec(line) ?? [];
      const [first, last] = [readDay(from ?? ''), readDay(to ?? from ?? '')];
      if (first === undefined || last === undefined)
        return fail('A line is a day, or two, and why: 2026-12-24 to 2027-01-03 Works holiday.');
      if (last < first) return fail('The last day lies before the first.');
      if (last - first > LONGEST) return fail('Nothing is closed for more than a year at a stretch.');
      spans.push({ from: writeDay(first), to: writeDay(last), why: why.trim().slice(0, 100) || 'closed' });
    }
    at += raw.length + 1;
  }
  if (spans.length > MOST)
    return { ok: false, error: { at: 0, length: text.length, message: `At most ${MOST} lines.` } };
  return { ok: true, value: spans.sort((a, b) => (a.from < b.from ? -1 : 1)) };
}

const LONGEST = 366;
const MOST = 200;

export const writeClosed = (spans: readonly ClosedSpan[]): string =>
  spans.map(({ from, to, why }) => `${from}${to === from ? '' : ` to ${to}`} ${why}`).join('\n');

/** Years, from this one on, whose days are written out. */
const YEARS = 3;

/**
 * Spans from days with names, one a line: `2026-12-24 Closed`, or `12-24 Closed` for every year. Days of one name that
 * follow each other are one span; what is past is left out.
 */
export function closedOf(lines: readonly string[], today: Day): readonly ClosedSpan[] {
  const read = readNamedDays(lines.join('\n'));
  if (!read.ok) return [];
  const { year } = civilOf(today);
  const days = Array.from({ length: YEARS }, (_, i) => occasionsIn(year + i, read.days))
    .flat()
    .filter(({ day }) => day >= today);
  const spans: { from: Day; to: Day; why: string }[] = [];
  for (const { day, name } of days) {
    const open = spans.find(({ why, to }) => why === name && (to === day || to === day - 1));
    if (open) open.to = day;
    else spans.push({ from: day, to: day, why: name });
  }
  return spans.map(({ from, to, why }) => ({ from: writeDay(from), to: writeDay(to), why: why.slice(0, 100) }));
}
