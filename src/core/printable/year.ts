import { civilOf, monthNames, monthOn, weekdayNames, weekdayOf, type Day } from '../dates';
import type { Rect } from '../geometry';
import type { Mm } from '../measure';
import { Impossible, choice, count, length } from '../parameter';
import { CALENDAR, WEEKDAYS, almanacOf, namedDays, OCCASIONS, regionsOf, type Almanac } from './calendar-decisions';
import { disc, level, solid, words, type Mark } from './mark';
import { weekNumber, weeksOf } from './month-weeks';
import { middleBaseline, parts, sizeFor } from './parts';
import { definePrintable, type PrintableContext } from './printable';

/** A year, or several months, at a glance. On a base layout each page shows the months after. */
export const year = definePrintable({
  kind: 'year',
  group: 'calendars',
  presets: [
    {
      id: 'year',
      title: 'Year at a glance',
      about: 'Twelve small months in rows.',
      decisions: {},
      piece: { kind: 'poster', size: 'A4' },
    },
    {
      id: 'year-card',
      title: 'Pocket year',
      about: 'A year on a card.',
      decisions: { across: '4', gap: '2 mm', names: 'narrow', rows: 'six', title: 'year' },
      piece: { kind: 'business-card' },
    },
    {
      id: 'tent',
      title: 'Tent calendar',
      about: 'Stands on the table: half a year on each face.',
      decisions: { months: '6', across: '3', title: 'year', gap: '4 mm' },
      piece: { kind: 'table-tent', size: '150 x 100 mm' },
    },
    {
      id: 'quarter',
      title: 'Three months',
      about: 'Three months side by side with week numbers.',
      decisions: { months: '3', across: '3', weeks: 'iso', title: 'none' },
      piece: { kind: 'worksheet', size: 'A4 landscape' },
    },
  ],
  parameters: {
    year: CALENDAR.year,
    month: count('First month', '1', '1 is January.', 1, 12),
    months: count('Months', '12', 'How many.', 1, 24),
    across: count('Across', '3', 'Months in a row.', 1, 12),
    gap: length('Between months', ['6 mm', '1/4 in'], '', { most: 100 }),
    title: choice('Title', 'year', 'Above the months.', { year: 'the year', none: 'none' }),
    'week-start': CALENDAR['week-start'],
    weeks: CALENDAR.weeks,
    names: choice('Weekdays', 'narrow', 'How their names are written.', {
      short: 'short',
      narrow: 'one letter',
      none: 'not at all',
    }),
    rows: choice('Week rows', 'six', 'Of each month.', { six: 'six', needed: 'as needed' }),
    holidays: OCCASIONS.holidays,
    events: namedDays('Own days', 'Marked by a circle. One a line: 2027-03-14 Star party, or 03-14 Founders’ day.'),
  },
  regions: (d) => regionsOf(d, [d.year - 1, d.year, d.year + 1, d.year + 2]),
  solve: (d, box, context) => {
    const start = monthOn(d.year, d.month, context.turn.index * d.months);
    const across = Math.min(d.across, d.months);
    const down = Math.ceil(d.months / across);
    const title = d.title === 'none' ? 0 : Math.min(box.height / 7, box.width / 7);
    const columns = parts(box.width, across, d.gap);
    const rows = parts(box.height - title, down, d.gap);
    const names = monthNames(context.language);
    const face = context.lettering('title', false);
    const width = columns[0]?.size ?? 0;
    const height = rows[0]?.size ?? 0;
    if (width < 4 || height < 4)
      throw new Impossible('gap', 'No room is left for the months: fewer across, or a smaller gap.');
    // Nine lines: the name, the weekdays, six weeks, and air.
    const line = height / (d.names === 'none' ? 7.6 : 8.6);
    const head = sizeFor(names, width, line * 0.95, face);
    const almanac = almanacOf({ ...d, moon: 'none', zone: 0 }, [start.year - 1, start.year, start.year + 1], context);
    const days: Day[] = [];
    const months = Array.from({ length: d.months }, (_, i): readonly Mark[] => {
      const at = monthOn(start.year, start.month, i);
      const rect = {
        x: columns[i % across]?.start ?? 0,
        y: title + (rows[Math.floor(i / across)]?.start ?? 0),
        width,
        height,
      };
      return smallMonth(at, rect, {
        line,
        head,
        weekStart: WEEKDAYS[d['week-start']],
        weeks: d.weeks,
        names: d.names,
        rows: d.rows,
        almanac,
        days,
        context,
      });
    });
    const size = Math.min(title * 0.72, box.width / 4);
    const yearWords = start.month + d.months - 1 > 12 ? `${start.year}/${start.year + 1}` : String(start.year);
    return {
      marks: [
        ...(title > 0
          ? [words(yearWords, { x: 0, y: middleBaseline(0, title * 0.86, size, face) }, size, { face: 'title' })]
          : []),
        ...months.flat(),
      ],
      findings: [
        {
          id: 'month',
          name: 'A month',
          value: width,
          unit: 'mm',
          working: [
            `(${context.write(box.width)} − ${across - 1} × ${context.write(d.gap)}) ÷ ${across} = ` +
              `${context.write(width)} wide`,
            `(${context.write(box.height - title)} − ${down - 1} × ${context.write(d.gap)}) ÷ ${down} = ` +
              `${context.write(height)} high`,
          ],
          rule: 'Equal parts with gaps between',
          stops: { axis: 'x', stops: columns.flatMap((c) => [c.start, c.start + c.size]) },
        },
        {
          id: 'figure',
          name: 'Size of the figures',
          value: (line * 0.72 * 72) / 25.4,
          unit: 'pt',
          working: [`${context.write(height)} ÷ ${d.names === 'none' ? 7.6 : 8.6} lines, of which 72 %`],
          rule: 'The name, the weekdays and six weeks share the height',
        },
        {
          id: 'days',
          name: 'Days',
          value: days.length,
          unit: 'count',
          working: [`${d.months} months from ${names[start.month - 1] ?? ''} ${start.year}`],
          rule: 'The Gregorian calendar',
        },
      ],
      days,
      tracks: { columns, rows: rows.map((r) => ({ start: title + r.start, size: r.size })) },
    };
  },
});

interface SmallLook {
  readonly line: Mm;
  /** Size of its name. */
  readonly head: Mm;
  readonly weekStart: number;
  readonly weeks: 'none' | 'iso' | 'us';
  readonly names: 'short' | 'narrow' | 'none';
  readonly rows: 'six' | 'needed';
  readonly almanac: Almanac;
  /** Filled with the days that are shown. */
  readonly days: Day[];
  readonly context: PrintableContext;
}

/** A month as it stands in a year, or beside a planner. */
export function smallMonth(
  { year: y, month: m }: { readonly year: number; readonly month: number },
  rect: Rect,
  look: SmallLook,
): readonly Mark[] {
  const { line, head, context, almanac } = look;
  const letters = context.lettering('text', false);
  const face = context.lettering('title', false);
  const margin = look.weeks === 'none' ? 0 : rect.width / 9;
  const columns = parts(rect.width - margin, 7);
  const right = (c: number) => rect.x + margin + (columns[c]?.start ?? 0) + (columns[c]?.size ?? 0) * 0.86;
  const size = Math.min(line * 0.72, ((columns[0]?.size ?? 0) * 0.84) / Math.max(0.1, letters.width('28')));
  const baseline = (n: number) => rect.y + n * line + line * 0.74;
  const marks: Mark[] = [
    words(
      monthNames(context.language)[m - 1] ?? '',
      { x: rect.x, y: rect.y + head * face.capHeight + (line - head) * 0.3 },
      head,
      { face: 'title' },
    ),
  ];
  let row = 1.25;
  if (look.names !== 'none') {
    const names = weekdayNames(context.language, look.names);
    const small = sizeFor(names, (columns[0]?.size ?? 0) * 0.95, size, letters);
    for (let c = 0; c < 7; c += 1) {
      const day = (look.weekStart - 1 + c) % 7;
      marks.push(
        words(names[day] ?? '', { x: right(c), y: baseline(row) }, small, { align: 'right', role: 'pale', bold: true }),
      );
    }
    row += 1;
    marks.push(level(rect.y + row * line, rect.x, rect.x + rect.width, solid(0.35, 'pale')));
    row += 0.15;
  }
  for (const [w, week] of weeksOf(y, m, look.weekStart, look.rows).entries()) {
    if (look.weeks !== 'none' && week.boxes.some((b) => b.inMonth))
      marks.push(
        words(
          String(weekNumber(week.first, look.weeks)),
          { x: rect.x + margin * 0.6, y: baseline(row + w) },
          Math.min(size * 0.72, (margin * 0.58) / letters.width('53')),
          { align: 'right', role: 'pale' },
        ),
      );
    week.boxes.forEach(({ days: [day = 0], inMonth }, c) => {
      if (!inMonth) return;
      look.days.push(day);
      const isRed = weekdayOf(day) === 7 || almanac.holiday(day) !== undefined;
      marks.push(
        words(String(civilOf(day).day), { x: right(c), y: baseline(row + w) }, size, {
          align: 'right',
          role: isRed ? 'accent' : 'ink',
        }),
      );
      if (almanac.events(day).length > 0) {
        const half = (size * letters.width('28')) / 2;
        marks.push(
          disc(
            { x: right(c) - half, y: baseline(row + w) - (size * letters.capHeight) / 2 },
            Math.min(size, line) * 0.68,
            solid(0.5, 'accent'),
          ),
        );
      }
    });
  }
  return marks;
}
