import { civilOf, isoWeek, readDay, weekStart, weekdayNames, type Day } from '../dates';
import type { Rect } from '../geometry';
import type { Mm } from '../measure';
import { Impossible, choice, count, length } from '../parameter';
import { CALENDAR, OCCASIONS, WEEKDAYS, almanacOf, regionsOf } from './calendar-decisions';
import { lineStyles, styleOf } from './line-styles';
import { boxed, level, words, type Mark } from './mark';
import { clipped, leftOut, middleBaseline, parts, sizeFor } from './parts';
import { PLANNER, daysTitle } from './planner-decisions';
import { definePrintable, type Turn } from './printable';

/**
 * Which week of the run a page shows, and which half where a week takes a spread: a first right-hand page has its
 * second half.
 */
export function weekOfPage(
  { index, isLeft }: Turn,
  isSpread: boolean,
): { readonly week: number; readonly half: 'all' | 'first' | 'second' } {
  if (!isSpread) return { week: index, half: 'all' };
  const beginsLeft = index % 2 === 0 ? isLeft : !isLeft;
  return { week: Math.floor((index + (beginsLeft ? 0 : 1)) / 2), half: isLeft ? 'first' : 'second' };
}

/** Boxes of a page: a day to each, or two where the week’s end shares one. */
const HALVES = { all: [1, 1, 1, 1, 1, 2], first: [1, 1, 1], second: [1, 1, 2] } as const;

/** A week to a page or to a spread. On a base layout each page, or spread, shows the next week. */
export const weekPlanner = definePrintable({
  kind: 'week',
  group: 'planners',
  presets: [
    {
      id: 'week',
      title: 'Week on a spread',
      about: 'Three days at the left, three boxes at the right; the week’s end shares one.',
      decisions: {},
      piece: { kind: 'booklet', size: 'A5' },
    },
    {
      id: 'week-page',
      title: 'Week to a page',
      about: 'Seven days on one page.',
      decisions: { over: 'page' },
      piece: { kind: 'booklet', size: 'A5' },
    },
    {
      id: 'any-week',
      title: 'Any week',
      about: 'A week without dates, on a pad.',
      decisions: { over: 'page', from: '' },
      piece: { kind: 'notepad', size: 'A5 landscape' },
    },
  ],
  parameters: {
    from: PLANNER.from,
    over: choice('A week takes', 'spread', 'One page, or a left-hand and a right-hand one.', {
      page: 'a page',
      spread: 'a spread',
    }),
    'week-start': CALENDAR['week-start'],
    head: length('Head', ['14 mm', '9/16 in'], 'For the dates and the week.', { most: 200 }),
    gap: length('Between days', ['0 mm', '0 in'], 'Boxes with a gap; 0 for lines between.', { most: 40 }),
    inner: length('Binding side', ['6 mm', '1/4 in'], 'Kept free beside the spine, on a spread.', {
      most: 60,
      when: (v) => v['over'] === 'spread',
    }),
    lines: count('Lines in a day', '4', 'To write on; 0 for none.', 0, 40),
    ...OCCASIONS,
    style: lineStyles('Lines', 'solid 0.5pt ink', 'Between days: dash, weight, colour.'),
    'line-style': lineStyles('Lines to write on', 'dotted 0.4pt pale', 'Dash, weight, colour.'),
  },
  regions: (d) => {
    const from = readDay(d.from);
    const { year: y } = civilOf(from ?? 0);
    return from === undefined ? [] : regionsOf(d, [y - 1, y, y + 1, y + 2]);
  },
  solve: (d, box, context) => {
    const { turn, language, lettering, write } = context;
    const { week, half } = weekOfPage(turn, d.over === 'spread');
    const first = WEEKDAYS[d['week-start']];
    const from = readDay(d.from);
    const monday: Day | undefined = from === undefined ? undefined : weekStart(from, first) + 7 * week;
    const inner = d.over === 'spread' ? d.inner : 0;
    // The spine is at the right of a left-hand page.
    const left = half === 'second' ? inner : 0;
    const width = box.width - inner;
    const days: readonly number[] = HALVES[half];
    const height = box.height - d.head;
    if (height <= 10 || width <= 10)
      throw new Impossible(
        'head',
        `Head and binding side leave ${write(Math.max(0, width))} × ${write(Math.max(0, height))}.`,
      );
    const cells = parts(height, days.length, d.gap);
    const [face, bold, letters] = [lettering('title', false), lettering('text', true), lettering('text', false)];
    const style = styleOf(d.style);
    const writing = styleOf(d['line-style']);
    const years =
      monday === undefined ? [] : [civilOf(monday).year - 1, civilOf(monday).year, civilOf(monday).year + 1];
    const almanac = almanacOf(d, years, context);
    const names = weekdayNames(language);
    const shown: Day[] = [];
    const marks: Mark[] = [];
    const cut: string[] = [];
    const title = Math.min(d.head * 0.4, 6);
    if (monday !== undefined && d.head > 0) {
      const last = monday + 6;
      const text = half === 'second' ? String(isoWeek(monday + 3)) : daysTitle(monday, last, language);
      marks.push(
        words(
          text,
          { x: half === 'second' ? box.width : left, y: middleBaseline(0, d.head * 0.9, title, face) },
          sizeFor([text], width, title, face),
          { face: 'title', align: half === 'second' ? 'right' : 'left' },
        ),
      );
    }
    const dayBox = (rect: Rect, offset: number): readonly Mark[] => {
      const index = (first - 1 + offset) % 7;
      const day = monday === undefined ? undefined : monday + offset;
      const size = Math.min(rect.height * 0.16, 4.4);
      const role =
        index === 6 || (day !== undefined && almanac.holiday(day) !== undefined)
          ? ('accent' as const)
          : ('ink' as const);
      const y = rect.y + size * 1.35;
      const figure = size * 1.5;
      const out: Mark[] = [];
      const number = day === undefined ? '' : String(civilOf(day).day);
      if (day !== undefined) {
        shown.push(day);
        out.push(words(number, { x: rect.x + pad(d.gap), y: rect.y + figure * 0.95 }, figure, { face: 'title', role }));
      }
      const x = rect.x + pad(d.gap) + (day === undefined ? 0 : face.width('28') * figure + size * 0.5);
      out.push(words(names[index] ?? '', { x, y }, size, { bold: true, role }));
      if (day !== undefined) {
        const said = [
          almanac.holiday(day),
          ...almanac.events(day),
          ...(almanac.phase(day) === undefined ? [] : [`${PHASES[almanac.phase(day) ?? 'new']} moon`]),
        ]
          .filter((s) => s !== undefined)
          .join(' · ');
        const after = x + bold.width(names[index] ?? '') * size + size;
        if (said)
          out.push(
            words(clipped(said, rect.x + rect.width - after, size * 0.8, letters, cut), { x: after, y }, size * 0.8, {
              role: role === 'accent' ? 'accent' : 'pale',
            }),
          );
      }
      const top = rect.y + figure * 1.15;
      const step = (rect.y + rect.height - top) / (d.lines + (d.gap > 0 ? 0.5 : 0));
      for (let i = 1; i <= d.lines - (d.gap > 0 ? 0 : 1); i += 1)
        out.push(level(top + i * step, rect.x + pad(d.gap), rect.x + rect.width - pad(d.gap), writing));
      return out;
    };
    let offset = half === 'second' ? 3 : 0;
    days.forEach((count, i) => {
      const cell = cells[i] ?? { start: 0, size: 0 };
      const rect = { x: left, y: d.head + cell.start, width, height: cell.size };
      if (d.gap > 0) marks.push(boxed(rect, style));
      else marks.push(level(rect.y, left, left + width, style));
      // The days of the week’s end stand side by side.
      const side = parts(rect.width, count, count > 1 ? Math.max(d.gap, 3) : 0);
      side.forEach(({ start, size }) => {
        marks.push(...dayBox({ ...rect, x: rect.x + start, width: size }, offset));
        offset += 1;
      });
    });
    return {
      marks,
      ...leftOut(cut),
      findings: [
        {
          id: 'day',
          name: 'A day',
          value: cells[0]?.size ?? 0,
          unit: 'mm',
          working: [
            `(${write(box.height)} − ${write(d.head)} head − ${days.length - 1} × ${write(d.gap)}) ÷ ` +
              `${days.length} = ${write(cells[0]?.size ?? 0)}`,
          ],
          rule: 'Equal boxes; the week’s end shares one',
          stops: { axis: 'y', stops: [0, d.head, ...cells.map((c) => d.head + c.start + c.size)] },
        },
      ],
      ...(monday !== undefined && { days: shown }),
      tracks: {
        columns: [{ start: left, size: width }],
        rows: cells.map((c) => ({ start: d.head + c.start, size: c.size })),
      },
    };
  },
});

const pad = (gap: Mm): Mm => (gap > 0 ? 2 : 0);

const PHASES = { new: 'New', 'first quarter': 'First quarter', full: 'Full', 'last quarter': 'Last quarter' } as const;
