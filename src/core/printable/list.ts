import { timeOf } from '../dates';
import { Impossible, choice, count, length, solvedCount } from '../parameter';
import { readList } from './read-list';
import { lineStyles, styleOf } from './line-styles';
import { boxed, level, upright, words, type Mark } from './mark';
import { clipped, leftOut, middleBaseline, parts, tickBox } from './parts';
import { definePrintable, type Finding } from './printable';
import { fitParameter, rhythm } from './rhythm';
import { rowsOfWords } from './typed';

/** Rows with boxes to tick, under headings, in columns. */
export const list = definePrintable({
  kind: 'list',
  group: 'lists',
  presets: [
    {
      id: 'checklist',
      title: 'List with boxes',
      about: 'Sections with a heading and a count each; the last takes what is left.',
      decisions: {},
      piece: { kind: 'notepad' },
    },
    {
      id: 'plain-list',
      title: 'Plain list',
      about: 'Rows with round boxes, as many as fit.',
      decisions: { sections: '', tick: 'round', fit: 'fill' },
      piece: { kind: 'notepad' },
    },
    {
      id: 'numbered-list',
      title: 'Numbered list',
      about: 'Two columns of numbered rows.',
      decisions: { sections: '', tick: 'none', side: 'numbers', columns: '2' },
    },
    {
      id: 'timetable',
      title: 'List by the clock',
      about: 'A time beside each row, a box to tick.',
      decisions: { sections: '', side: 'times', tick: 'round', fit: 'fill', row: '9 mm' },
      piece: { kind: 'notepad' },
    },
  ],
  parameters: {
    row: length('Row', ['8 mm', '5/16 in'], 'From row to row.', { least: 2, most: 100 }),
    sections: rowsOfWords(
      'Sections',
      'Must be done: 5\nIf there is time: rest',
      'One a line: heading, colon, how many rows, or rest. Left out, rows only.',
    ),
    columns: count('Columns', '1', 'Side by side; rows run down each.', 1, 12),
    gap: length('Between columns', ['6 mm', '1/4 in'], '', { most: 100, when: (v) => v['columns'] !== 1 }),
    tick: choice('Box', 'square', 'To be ticked, before each row.', { square: 'square', round: 'round', none: 'none' }),
    side: choice('Beside', 'none', 'At the head of each row.', {
      none: 'nothing',
      numbers: 'a number',
      times: 'a time',
    }),
    'first-time': solvedCount('First hour', 'Of the first row; left out, 8.', 0, 23, {
      when: (v) => v['side'] === 'times',
    }),
    minutes: solvedCount('Minutes', 'From row to row; left out, 60.', 1, 1440, { when: (v) => v['side'] === 'times' }),
    heading: length('Heading', ['9 mm', '3/8 in'], 'Height of the ribbon above a section.', {
      most: 60,
      when: (v) => v['sections'] !== '',
    }),
    fit: fitParameter,
    style: lineStyles('Lines', 'solid 0.4pt pale', 'Dash, weight, colour.'),
    'tick-style': lineStyles('Box outline', 'solid 0.6pt ink', 'Dash, weight, colour.'),
  },
  solve: (d, box, context) => {
    const read = readList(d.sections);
    if (!read.ok) throw new Impossible('sections', read.message);
    const sections = read.sections;
    const headings = sections.filter((s) => s.heading !== '').length;
    const columns = parts(box.width, d.columns, d.columns > 1 ? d.gap : 0);
    if ((columns[0]?.size ?? 0) < 2 * d.row)
      throw new Impossible(
        'columns',
        `A column would be ${context.write(columns[0]?.size ?? 0)} wide: have fewer, or lower rows.`,
      );
    // All rows of all columns share one rhythm; headings stand among them.
    const room = box.height * d.columns - headings * d.heading;
    const fixed = sections.reduce((sum, s) => sum + (s.rows ?? 0), 0);
    const one = rhythm(
      {
        what: 'row',
        height: room / d.columns,
        head: 0,
        foot: 0,
        set: d.row,
        gap: 0,
        fit: d.fit === 'count' ? 'keep' : d.fit,
        count: undefined,
        gives: 'set',
        decisions: { head: 'row', spacing: 'row', count: 'row' },
      },
      context,
    );
    const all = one.count * d.columns;
    const open = sections.filter((s) => s.rows === undefined).length;
    if (fixed > all)
      throw new Impossible(
        'sections',
        `${fixed} rows are asked for and ${all} fit: make rows lower, or ask for fewer.`,
      );
    const share = open > 0 ? Math.floor((all - fixed) / open) : 0;
    const wanted =
      sections.length > 0
        ? sections.map((s, i) => ({
            ...s,
            rows: s.rows ?? share + (i === sections.length - 1 ? all - fixed - share * open : 0),
          }))
        : [{ heading: '', rows: all }];
    const style = styleOf(d.style);
    const marks: Mark[] = [];
    const cut: string[] = [];
    const text = context.lettering('text', true);
    let [column, y, number] = [0, 0, 0];
    const next = (height: number) => {
      if (y + height <= box.height + 1e-6) return;
      column += 1;
      y = 0;
    };
    for (const section of wanted) {
      if (section.heading !== '') {
        // A heading never stands alone at the foot.
        next(d.heading + one.set);
        const at = columns[column];
        if (at) {
          const size = d.heading * 0.44;
          // Air above a ribbon that follows rows, below the first.
          const top = y + (y > 0 ? d.heading * 0.18 : 0);
          marks.push(boxed({ x: at.start, y: top, width: at.size, height: d.heading * 0.82 }, null, 'tint'));
          marks.push(
            words(
              clipped(section.heading, at.size - 4, size, text, cut),
              { x: at.start + 2, y: middleBaseline(top, d.heading * 0.82, size, text) },
              size,
              { face: 'title' },
            ),
          );
        }
        y += d.heading;
      }
      for (let i = 0; i < section.rows; i += 1) {
        next(one.set);
        const at = columns[column];
        if (!at) {
          cut.push(`${section.heading || 'rows'}: ${section.rows - i} more`);
          break;
        }
        number += 1;
        const side = one.set * 0.56;
        const start = d.side === 'none' ? 0 : d.side === 'numbers' ? side * 1.3 : one.set * 1.35;
        const box2 = { x: at.start + start, y: y + (one.set - side) / 2, width: side, height: side };
        const beside =
          d.side === 'times'
            ? timeOf((d['first-time'] ?? 8) * 60 + (number - 1) * (d.minutes ?? 60), context.language)
            : String(number);
        const figure = Math.min(one.set * 0.36, (start - side * 0.3) / Math.max(0.1, text.width(beside)));
        if (d.side !== 'none')
          marks.push(
            words(beside, { x: at.start + start - side * 0.35, y: y + one.set * 0.68 }, figure, {
              align: 'right',
              role: 'pale',
            }),
          );
        if (d.tick !== 'none') marks.push(tickBox(d.tick, box2, styleOf(d['tick-style'])));
        marks.push(
          level(y + one.set, at.start + start + (d.tick === 'none' ? 0 : side * 1.5), at.start + at.size, style),
        );
        y += one.set;
      }
    }
    if (d.columns > 1 && d.gap > 0)
      for (const { start } of columns.slice(1))
        marks.push(upright(start - d.gap / 2, 0, box.height, { ...style, dash: 'dotted' }));
    const findings: Finding[] = [
      ...one.findings.map((f) => (f.id === 'count' && d.columns > 1 ? { ...f, name: 'Rows in a column' } : f)),
      ...(sections.length > 0
        ? wanted.map((s, i): Finding => ({
            id: `section-${i + 1}`,
            name: s.heading || 'Rows',
            value: s.rows,
            unit: 'count',
            working:
              sections[i]?.rows === undefined
                ? [`${all} that fit − ${fixed} asked for${open > 1 ? `, shared by ${open}` : ''} = ${s.rows}`]
                : [`${s.rows}, as given`],
            rule: 'What no section asks for goes to those that take the rest',
          }))
        : []),
    ];
    return {
      marks,
      ...leftOut(cut),
      findings,
      tracks: { columns, rows: one.starts.map((start) => ({ start, size: one.set })) },
    };
  },
});
