import { civilOf, dayAndMonth, isoWeek, moonAngle, readDay, timeOf, weekdayNames, weekdayOf } from '../dates';
import { Impossible, count, length } from '../parameter';
import { OCCASIONS, almanacOf, regionsOf } from './calendar-decisions';
import { lineStyles, styleOf } from './line-styles';
import { level, upright, words, type Mark } from './mark';
import { clipped, leftOut, middleBaseline, parts, shifted, sizeFor, tickBox } from './parts';
import { PLANNER, timesOf } from './planner-decisions';
import { definePrintable } from './printable';
import { moonPicture } from './moon-picture';
import { rowsOfWords } from './typed';

/** A day to a page: hours, things to do, notes. On a base layout each page shows the next day. */
export const dayPlanner = definePrintable({
  kind: 'day',
  group: 'planners',
  presets: [
    {
      id: 'day',
      title: 'Day to a page',
      about: 'Hours at the left, things to do and notes at the right.',
      decisions: {},
      piece: { kind: 'catalogue', size: 'A5', pages: '366' },
    },
    {
      id: 'undated-day',
      title: 'Any day',
      about: 'The same without a date.',
      decisions: { from: '' },
      piece: { kind: 'notepad' },
    },
    {
      id: 'night',
      title: 'Observing night',
      about: 'From dusk to dawn in half hours, with the moon.',
      decisions: { hours: '17', until: '29', step: '60', tasks: '6', moon: 'daily' },
      piece: { kind: 'booklet', size: 'A5' },
    },
  ],
  parameters: {
    ...PLANNER,
    head: length('Head', ['18 mm', '3/4 in'], 'For the date.', { most: 200 }),
    tasks: count('Things to do', '8', 'Rows with a box; 0 for none.', 0, 60),
    labels: rowsOfWords('Headings', 'To do\nNotes', 'Above the boxes, and above the notes.'),
    share: count('Hours take', '58', 'Percent of the width.', 20, 100),
    ...OCCASIONS,
    style: lineStyles('Lines', 'solid 0.35pt pale', 'Dash, weight, colour.'),
  },
  regions: (d) => {
    const from = readDay(d.from);
    const { year: y } = civilOf(from ?? 0);
    return from === undefined ? [] : regionsOf(d, [y, y + 1, y + 2]);
  },
  solve: (d, box, context) => {
    const { lettering, language, write, turn } = context;
    const from = readDay(d.from);
    const day = from === undefined ? undefined : from + turn.index;
    const face = lettering('title', false);
    const letters = lettering('text', false);
    const style = styleOf(d.style);
    const height = box.height - d.head;
    if (height < 10) throw new Impossible('head', `The head leaves ${write(Math.max(0, height))} for the day.`);
    const times = timesOf(d.hours, d.until, d.step);
    const cells = shifted(parts(height, times.length), d.head);
    const cell = cells[0]?.size ?? 0;
    const wide = (box.width * d.share) / 100;
    const gap = d.share < 100 ? Math.min(6, box.width * 0.04) : 0;
    const size = Math.min(cell * 0.5, 3.4);
    const marks: Mark[] = [];
    const cut: string[] = [];
    if (day !== undefined) {
      const almanac = almanacOf(d, [civilOf(day).year - 1, civilOf(day).year, civilOf(day).year + 1], context);
      const figure = Math.min(d.head * 0.78, box.width / 6);
      const number = String(civilOf(day).day);
      const after = face.width('28') * figure + figure * 0.2;
      const role = almanac.holiday(day) !== undefined || weekdayOf(day) === 7 ? ('accent' as const) : ('ink' as const);
      const name = weekdayNames(language)[weekdayOf(day) - 1] ?? '';
      const second = `${dayAndMonth(day, language)} ${civilOf(day).year} · ${isoWeek(day)}`;
      const line = Math.min(d.head * 0.24, 4.6);
      marks.push(
        words(number, { x: 0, y: middleBaseline(0, d.head * 0.9, figure, face) }, figure, { face: 'title', role }),
      );
      marks.push(words(name, { x: after, y: d.head * 0.36 }, line * 1.15, { face: 'title', role }));
      marks.push(words(second, { x: after, y: d.head * 0.36 + line * 1.35 }, line * 0.82, { role: 'pale' }));
      const said = [almanac.holiday(day), ...almanac.events(day)].filter((s) => s !== undefined).join(' · ');
      if (said)
        marks.push(
          words(
            clipped(said, box.width - after - d.head, line * 0.82, letters, cut),
            { x: after, y: d.head * 0.36 + line * 2.5 },
            line * 0.82,
            { role },
          ),
        );
      if (d.moon === 'daily' || almanac.phase(day) !== undefined) {
        const phase = almanac.phase(day);
        const angle =
          phase === undefined
            ? moonAngle(day, d.zone)
            : { new: 0, 'first quarter': 90, full: 180, 'last quarter': 270 }[phase];
        const r = d.head * 0.28;
        marks.push(
          ...moonPicture({ x: box.width - r - 0.2, y: d.head * 0.45 }, r, angle, {
            role: 'ink',
            weightPt: 0.5,
            dash: 'solid',
          }),
        );
      }
    }
    marks.push(level(d.head, 0, box.width, { ...style, role: 'ink', weightPt: Math.max(0.8, style.weightPt) }));
    times.forEach((t, i) => {
      const at = cells[i] ?? { start: 0, size: 0 };
      const whole = t % 60 === 0;
      marks.push(
        level(
          at.start + at.size,
          whole || d.step >= 60 ? 0 : wide * 0.16,
          wide,
          whole || d.step >= 60 ? style : { ...style, dash: 'dotted' },
        ),
      );
      if (whole)
        marks.push(
          words(timeOf(t, language), { x: 0, y: at.start + size * 1.25 }, Math.min(size, 3), { role: 'pale' }),
        );
    });
    const [todo = '', noted = ''] = d.labels.split('\n');
    const left = wide + gap;
    const room = box.width - left;
    if (d.share < 100 && room > 8) {
      // The right side keeps the rhythm of the hours.
      const labelled = (label: string, y: number) =>
        label === ''
          ? []
          : [
              words(label, { x: left, y: y + size * 1.5 }, Math.min(size * 1.1, sizeFor([label], room, 4, face)), {
                face: 'title',
              }),
            ];
      marks.push(...labelled(todo, d.head));
      const tasks = Math.min(d.tasks, times.length - 1);
      for (let i = 1; i <= tasks; i += 1) {
        const at = cells[i] ?? { start: 0, size: 0 };
        const side = Math.min(at.size * 0.5, 4);
        marks.push(
          tickBox(
            'square',
            { x: left, y: at.start + (at.size - side) / 2, width: side, height: side },
            { role: 'ink', weightPt: 0.5, dash: 'solid' },
          ),
        );
        marks.push(level(at.start + at.size, left + side * 1.6, box.width, style));
      }
      const notesAt = cells[tasks + 1];
      if (notesAt) {
        marks.push(...labelled(noted, notesAt.start));
        for (const at of cells.slice(tasks + 2))
          marks.push(level(at.start + at.size, left, box.width, { ...style, dash: 'dotted' }));
      }
      marks.push(upright(wide + gap / 2, d.head + 2, box.height, style));
    }
    return {
      marks,
      ...leftOut(cut),
      findings: [
        {
          id: 'hour',
          name: 'A line',
          value: cell,
          unit: 'mm',
          working: [
            `${times.length} lines from ${timeOf(d.hours * 60, language)} every ${d.step} minutes`,
            `(${write(box.height)} − ${write(d.head)}) ÷ ${times.length} = ${write(cell)}`,
          ],
          rule: 'Equal parts of what the head leaves',
          stops: { axis: 'y', stops: [0, d.head, ...cells.map((c) => c.start + c.size)] },
        },
      ],
      ...(day !== undefined && { days: [day] }),
      tracks: {
        columns: [{ start: 0, size: wide }, ...(d.share < 100 ? [{ start: left, size: room }] : [])],
        rows: cells,
      },
    };
  },
});
