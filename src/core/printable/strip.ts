import { civilOf, dayOf, daysIn, monthNames, monthOn, weekdayNames, weekdayOf } from '../dates';
import { choice, count, length } from '../parameter';
import { CALENDAR, OCCASIONS, almanacOf, regionsOf } from './calendar-decisions';
import { lineStyles, styleOf } from './line-styles';
import { level, upright, words, type Mark } from './mark';
import { clipped, leftOut, middleBaseline, parts, shifted, sizeFor } from './parts';
import { definePrintable } from './printable';

/** The days of a month one after another, in a column or a row. On a base layout each page shows the next month. */
export const strip = definePrintable({
  kind: 'strip',
  group: 'calendars',
  presets: [
    { id: 'month-strip', title: 'Month as a column', about: 'One line a day, with room to write.', decisions: {} },
    {
      id: 'slim-strip',
      title: 'Month as a row',
      about: 'A month along an edge.',
      decisions: { run: 'across', head: '6 mm' },
    },
  ],
  parameters: {
    year: CALENDAR.year,
    month: count('First month', '1', '1 is January; on a base layout each page shows the next.', 1, 12),
    run: choice('Run', 'down', 'How the days follow each other.', { down: 'down', across: 'across' }),
    room: choice('Divided', 'the month', 'Into the days there are, or into 31 parts on every page.', {
      'the month': 'into its days',
      '31': 'into 31 parts',
    }),
    head: length('Head', ['12 mm', '1/2 in'], 'For the name of the month.', { most: 200 }),
    names: choice('Weekdays', 'short', 'How their names are written.', {
      short: 'short',
      narrow: 'one letter',
      none: 'not at all',
    }),
    holidays: OCCASIONS.holidays,
    events: OCCASIONS.events,
    style: lineStyles('Lines', 'solid 0.35pt pale', 'Dash, weight, colour.'),
  },
  regions: (d) => regionsOf(d, [d.year, d.year + 1, d.year + 2]),
  solve: (d, box, context) => {
    const { write } = context;
    const at = monthOn(d.year, d.month, context.turn.index);
    const n = daysIn(at.year, at.month);
    const cells = parts(
      (d.run === 'down' ? box.height : box.width) - (d.run === 'down' ? d.head : 0),
      d.room === '31' ? 31 : n,
    );
    const lines = d.run === 'down' ? shifted(cells, d.head) : cells;
    const almanac = almanacOf({ ...d, moon: 'none', zone: 0 }, [at.year], context);
    const face = context.lettering('title', false);
    const letters = context.lettering('text', false);
    const style = styleOf(d.style);
    const names = d.names === 'none' ? undefined : weekdayNames(context.language, d.names);
    const cell = cells[0]?.size ?? 0;
    const titles = monthNames(context.language).map((m) => `${m} ${at.year}`);
    const head = sizeFor(titles, box.width, d.head * 0.62, face);
    const size = d.run === 'down' ? Math.min(cell * 0.58, 5) : Math.min(cell * 0.5, (box.height - d.head) * 0.3);
    const figure = letters.width('28') * size;
    const cut: string[] = [];
    const days = Array.from({ length: n }, (_, i) => dayOf(at.year, at.month, i + 1));
    const marks = days.flatMap((day, i): Mark[] => {
      const line = lines[i] ?? { start: 0, size: 0 };
      const isRed = weekdayOf(day) === 7 || almanac.holiday(day) !== undefined;
      const role = isRed ? ('accent' as const) : ('ink' as const);
      const number = String(civilOf(day).day);
      const name = names?.[weekdayOf(day) - 1];
      const said = [almanac.holiday(day), ...almanac.events(day)].filter((s) => s !== undefined).join(' · ');
      if (d.run === 'across') {
        const middle = line.start + line.size / 2;
        return [
          words(number, { x: middle, y: d.head + size * 1.1 }, size, { align: 'centre', role }),
          ...(name
            ? [
                words(
                  name,
                  { x: middle, y: d.head + size * 2.1 },
                  sizeFor([name], line.size * 0.95, size * 0.7, letters),
                  { align: 'centre', role: 'pale' },
                ),
              ]
            : []),
          upright(line.start + line.size, d.head, box.height, style),
        ];
      }
      const y = middleBaseline(line.start, line.size, size, letters);
      const after = figure * 1.35 + (names ? size * 2.6 : 0);
      return [
        words(number, { x: figure, y }, size, { align: 'right', role }),
        ...(name ? [words(name, { x: figure * 1.35, y }, size * 0.8, { role: isRed ? 'accent' : 'pale' })] : []),
        ...(said
          ? [words(clipped(said, box.width - after, size * 0.8, letters, cut), { x: after, y }, size * 0.8, { role })]
          : []),
        level(
          line.start + line.size,
          0,
          box.width,
          weekdayOf(day) === 7 ? { ...style, weightPt: style.weightPt * 2 } : style,
        ),
      ];
    });
    return {
      ...leftOut(cut),
      marks: [
        ...(d.head > 0
          ? [
              words(titles[at.month - 1] ?? '', { x: 0, y: middleBaseline(0, d.head, head, face) }, head, {
                face: 'title',
              }),
            ]
          : []),
        ...marks,
      ],
      findings: [
        {
          id: 'day',
          name: 'A day',
          value: cell,
          unit: 'mm',
          working: [
            d.run === 'down'
              ? `(${write(box.height)} − ${write(d.head)} head) ÷ ${cells.length} = ${write(cell)}`
              : `(${write(box.width)}) ÷ ${cells.length} = ${write(cell)}`,
          ],
          rule: 'Equal parts',
          stops: { axis: d.run === 'down' ? 'y' : 'x', stops: [0, ...lines.map((l) => l.start + l.size)] },
        },
      ],
      days,
      tracks:
        d.run === 'down'
          ? { columns: [{ start: 0, size: box.width }], rows: lines }
          : { columns: lines, rows: [{ start: d.head, size: box.height - d.head }] },
    };
  },
});
