import { civilOf, monthNames, monthOn, moonAngle, weekdayNames, weekdayOf, type Day, type NameWidth } from '../dates';
import { ptToMm, type Mm } from '../measure';
import { Impossible, choice, count, length, solvedLength } from '../parameter';
import type { Rect } from '../geometry';
import { CALENDAR, OCCASIONS, WEEKDAYS, almanacOf, regionsOf, type Almanac } from './calendar-decisions';
import { lineStyles, styleOf } from './line-styles';
import { boxed, level, upright, words, type LineStyle, type Mark, type Role } from './mark';
import { weekNumber, weeksOf, type DayBox } from './month-weeks';
import { moonPicture } from './moon-picture';
import { brokenLines, clipped, leftOut, middleBaseline, parts, shifted, sizeFor } from './parts';
import { definePrintable, type Finding, type PrintableContext } from './printable';

/** Smallest size of what stands in a day, mm: 5.5 pt [cp]. */
const SMALLEST = ptToMm(5.5);

/** One month in rows of weeks. On a base layout each page shows the next month. */
export const month = definePrintable({
  kind: 'month',
  group: 'calendars',
  presets: [
    {
      id: 'wall-month',
      title: 'Wall calendar',
      about: 'A month to a page, with its name, week rows and what falls on the days.',
      decisions: {},
      piece: { kind: 'wall-calendar' },
    },
    {
      id: 'month-planner',
      title: 'Month to plan',
      about: 'Large boxes to write in, five rows at most.',
      decisions: { rows: 'five', number: 'corner', neighbours: 'hidden', frame: 'boxes' },
      piece: { kind: 'worksheet', size: 'A4 landscape' },
    },
    {
      id: 'moon-month',
      title: 'Moon month',
      about: 'The moon of every day beside its number.',
      decisions: { moon: 'daily', number: 'corner' },
      piece: { kind: 'wall-calendar' },
    },
  ],
  parameters: {
    year: CALENDAR.year,
    month: count('First month', '1', '1 is January; on a base layout each page shows the next.', 1, 12),
    'week-start': CALENDAR['week-start'],
    weeks: CALENDAR.weeks,
    names: CALENDAR.names,
    title: choice('Title', 'month and year', 'Above the weekdays.', {
      'month and year': 'month and year',
      month: 'month',
      none: 'none',
    }),
    'title-height': solvedLength('Its height', 'Left out, an eighth of the box.', {
      most: 400,
      when: (v) => v['title'] !== 'none',
    }),
    weekday: length('Weekday row', ['10.8 mm', '7/16 in'], 'Its height.', {
      most: 100,
      when: (v) => v['names'] !== 'none',
    }),
    rows: choice(
      'Week rows',
      'needed',
      'As many as the month needs, always six, or five with the sixth week in the boxes of the fifth.',
      { needed: 'as needed', six: 'six', five: 'five' },
    ),
    neighbours: choice('Days beside', 'pale', 'Days of the months before and after.', {
      pale: 'pale',
      hidden: 'left out',
    }),
    number: choice('Numbers', 'corner', 'Where the number of a day stands.', {
      corner: 'top left',
      right: 'top right',
      middle: 'in the middle',
    }),
    'number-size': solvedLength('Their size', 'Left out, by the height of a row.', { least: 1, most: 100 }),
    ...OCCASIONS,
    style: lineStyles('Lines', 'solid 0.4pt pale', 'Dash, weight, colour.'),
    frame: choice('Around', 'rows', 'What is drawn.', {
      boxes: 'boxes',
      rows: 'lines between weeks',
      none: 'no lines',
    }),
  },
  regions: (d) => regionsOf(d, [d.year - 1, d.year, d.year + 1, d.year + 2]),
  solve: (d, box, context) => {
    const at = monthOn(d.year, d.month, context.turn.index);
    const titleHeight = d.title === 'none' ? 0 : (d['title-height'] ?? box.height / 8);
    const weekdayHeight = d.names === 'none' ? 0 : d.weekday;
    const grid = {
      x: 0,
      y: titleHeight + weekdayHeight,
      width: box.width,
      height: box.height - titleHeight - weekdayHeight,
    };
    if (grid.height <= 0)
      throw new Impossible('weekday', `Title and weekdays take all of ${context.write(box.height)}.`);
    const first = WEEKDAYS[d['week-start']];
    const weeks = weeksOf(at.year, at.month, first, d.rows);
    const rows = parts(grid.height, weeks.length);
    const margin = d.weeks === 'none' ? 0 : box.width / 22;
    const columns = shifted(parts(box.width - margin, 7), margin);
    const style = styleOf(d.style);
    const almanac = almanacOf(d, [at.year - 1, at.year, at.year + 1], context);
    const cellOf = (row: number, column: number): Rect => ({
      x: columns[column]?.start ?? 0,
      y: grid.y + (rows[row]?.start ?? 0),
      width: columns[column]?.size ?? 0,
      height: rows[row]?.size ?? 0,
    });
    const small = context.lettering('text', false);
    const rowHeight = rows[0]?.size ?? 0;
    const figure =
      d['number-size'] ?? Math.min(rowHeight * (d.number === 'middle' ? 0.5 : 0.3), (columns[0]?.size ?? 0) * 0.3, 14);
    const marks: Mark[] = [
      ...heading(at, d.title, titleHeight, box.width, context),
      ...weekdays(d.names, first, columns, titleHeight, weekdayHeight, context),
      ...lattice(
        d.frame,
        grid,
        columns,
        rows,
        style,
        weeks.map((w) => w.boxes),
        d.neighbours === 'hidden',
      ),
    ];
    const days: Day[] = [];
    const cut: string[] = [];
    weeks.forEach((week, r) => {
      if (d.weeks !== 'none') {
        const size = Math.min(margin * 0.42, rowHeight * 0.25);
        marks.push(
          words(
            String(weekNumber(week.first, d.weeks)),
            { x: margin * 0.78, y: grid.y + (rows[r]?.start ?? 0) + size * 1.35 },
            size,
            { align: 'right', role: 'pale' },
          ),
        );
      }
      week.boxes.forEach((dayBox, c) => {
        if (!dayBox.inMonth && d.neighbours === 'hidden') return;
        if (dayBox.inMonth) days.push(...dayBox.days);
        marks.push(
          ...dayMarks(
            dayBox,
            cellOf(r, c),
            { figure, number: d.number, moon: d.moon, zone: d.zone, style, almanac, small, context },
            cut,
          ),
        );
      });
    });
    const found: Finding[] = [
      {
        id: 'row',
        name: 'Week row',
        value: rowHeight,
        unit: 'mm',
        working: [
          context.write(box.height) +
            (titleHeight > 0 ? ` − ${context.write(titleHeight)} title` : '') +
            (weekdayHeight > 0 ? ` − ${context.write(weekdayHeight)} weekdays` : '') +
            ` = ${context.write(grid.height)}`,
          `${context.write(grid.height)} ÷ ${weeks.length} = ${context.write(rowHeight)}`,
        ],
        rule: 'What title and weekdays leave, in equal rows',
        stops: { axis: 'y', stops: [0, titleHeight, grid.y, ...rows.map((r) => grid.y + r.start + r.size)] },
      },
      {
        id: 'column',
        name: 'Day',
        value: columns[0]?.size ?? 0,
        unit: 'mm',
        working: [
          `(${context.write(box.width)}${margin > 0 ? ` − ${context.write(margin)} week numbers` : ''}) ÷ 7 ` +
            `= ${context.write(columns[0]?.size ?? 0)}`,
        ],
        rule: 'Seven equal columns',
        stops: { axis: 'x', stops: [0, ...columns.map((c) => c.start + c.size)] },
      },
      {
        id: 'days',
        name: 'Days',
        value: days.length,
        unit: 'count',
        working: [`${monthNames(context.language)[at.month - 1] ?? ''} ${at.year}, in ${weeks.length} weeks`],
        rule: 'The Gregorian calendar',
      },
    ];
    return {
      marks,
      ...leftOut(cut),
      findings: found,
      days: days.sort((a, b) => a - b),
      tracks: { columns, rows: shifted(rows, grid.y) },
    };
  },
});

/** Name of the month, at one size for all twelve: the longest fits. */
function heading(
  { year, month: m }: { readonly year: number; readonly month: number },
  what: 'month and year' | 'month' | 'none',
  height: Mm,
  width: Mm,
  context: PrintableContext,
): readonly Mark[] {
  if (what === 'none' || height <= 0) return [];
  const title = context.lettering('title', false);
  const names = monthNames(context.language).map((n) => (what === 'month' ? n : `${n} ${year}`));
  const size = sizeFor(names, width, height * 0.62, title);
  return [words(names[m - 1] ?? '', { x: 0, y: middleBaseline(0, height, size, title) }, size, { face: 'title' })];
}

function weekdays(
  width: NameWidth | 'none',
  first: number,
  columns: readonly { readonly start: Mm; readonly size: Mm }[],
  top: Mm,
  height: Mm,
  context: PrintableContext,
): readonly Mark[] {
  if (width === 'none' || height <= 0) return [];
  const names = weekdayNames(context.language, width);
  const letters = context.lettering('text', true);
  const size = sizeFor(names, (columns[0]?.size ?? 0) * 0.92, height * 0.5, letters);
  return columns.map(({ start, size: wide }, i) => {
    const day = (first - 1 + i) % 7;
    return words(names[day] ?? '', { x: start + wide / 2, y: middleBaseline(top, height, size, letters) }, size, {
      bold: true,
      align: 'centre',
      role: day >= 5 ? 'accent' : 'ink',
    });
  });
}

type Tracks = readonly { readonly start: Mm; readonly size: Mm }[];

/** Lines of the month; with days left out, only the boxes of days that are there. */
function lattice(
  what: 'boxes' | 'rows' | 'none',
  grid: Rect,
  columns: Tracks,
  rows: Tracks,
  style: LineStyle,
  weeks: readonly (readonly DayBox[])[],
  hides: boolean,
): readonly Mark[] {
  if (what === 'none') return [];
  const left = columns[0]?.start ?? 0;
  if (what === 'rows') return rows.map(({ start }) => level(grid.y + start, left, grid.width, style));
  if (!hides) {
    return [
      ...[...rows.map((r) => r.start), grid.height].map((y) => level(grid.y + y, left, grid.width, style)),
      ...[...columns.map((c) => c.start), grid.width].map((x) => upright(x, grid.y, grid.y + grid.height, style)),
    ];
  }
  return weeks.flatMap((boxes, r) =>
    boxes.flatMap((b, c): Mark[] => {
      const [row, column] = [rows[r], columns[c]];
      if (!b.inMonth || !row || !column) return [];
      return [boxed({ x: column.start, y: grid.y + row.start, width: column.size, height: row.size }, style)];
    }),
  );
}

interface DayLook {
  readonly figure: Mm;
  readonly number: 'corner' | 'right' | 'middle';
  readonly moon: 'none' | 'phases' | 'daily';
  readonly zone: number;
  readonly style: LineStyle;
  readonly almanac: Almanac;
  readonly small: ReturnType<PrintableContext['lettering']>;
  readonly context: PrintableContext;
}

/** Numbers, moon and names in the box of a day. */
function dayMarks({ days, inMonth }: DayBox, cell: Rect, look: DayLook, cut: string[]): readonly Mark[] {
  const { figure, almanac, small } = look;
  const [day = 0] = days;
  const rest = figure * 0.3;
  const isRed = weekdayOf(day) === 7 || almanac.holiday(day) !== undefined;
  const role: Role = !inMonth ? 'pale' : isRed ? 'accent' : 'ink';
  const text = days.map((n) => civilOf(n).day).join('/');
  const letters = look.context.lettering('title', false);
  const size = days.length > 1 ? sizeFor([text], cell.width * 0.5, figure, letters) : figure;
  const at = {
    corner: { x: cell.x + rest, y: cell.y + rest + size * letters.capHeight, align: 'left' as const },
    right: { x: cell.x + cell.width - rest, y: cell.y + rest + size * letters.capHeight, align: 'right' as const },
    middle: {
      x: cell.x + cell.width / 2,
      y: middleBaseline(cell.y, cell.height, size, letters),
      align: 'centre' as const,
    },
  }[look.number];
  const marks: Mark[] = [words(text, at, size, { face: 'title', align: at.align, role })];
  if (!inMonth) return marks;
  const phase = almanac.phase(day);
  if (phase !== undefined || look.moon === 'daily') {
    const r = Math.min(figure * 0.36, cell.height * 0.2, cell.width * 0.14);
    const x = look.number === 'right' ? cell.x + rest + r : cell.x + cell.width - rest - r;
    const angle =
      phase === undefined
        ? moonAngle(day, look.zone)
        : { new: 0, 'first quarter': 90, full: 180, 'last quarter': 270 }[phase];
    marks.push(...moonPicture({ x, y: cell.y + rest + r }, r, angle, { role: 'ink', weightPt: 0.4, dash: 'solid' }));
  }
  const names = days.flatMap((n): { readonly name: string; readonly role: Role }[] => [
    ...(almanac.holiday(n) === undefined ? [] : [{ name: almanac.holiday(n) ?? '', role: 'accent' as const }]),
    ...almanac.events(n).map((name) => ({ name, role: 'ink' as const })),
  ]);
  const line = Math.max(SMALLEST, Math.min(figure * 0.44, 3.6));
  const room = cell.width - 2 * rest;
  const lines = names.flatMap(({ name, role: r }) =>
    brokenLines(name, room, line, small).map((l) => ({ text: clipped(l, room, line, small, cut), role: r })),
  );
  const most = Math.max(1, Math.floor((cell.height - size * letters.capHeight - 2.2 * rest) / (line * 1.2)));
  if (lines.length > most) cut.push(names.map((n) => n.name).join(', '));
  // From the foot of the box upward; what finds no place is cut with an ellipsis.
  const seen =
    lines.length > most
      ? [...lines.slice(0, most - 1), { text: '…', role: lines[most - 1]?.role ?? ('ink' as const) }]
      : lines;
  seen.forEach((l, i) =>
    marks.push(
      words(
        l.text,
        { x: cell.x + rest, y: cell.y + cell.height - rest * 0.8 - (seen.length - 1 - i) * line * 1.2 },
        line,
        { role: l.role },
      ),
    ),
  );
  return marks;
}
