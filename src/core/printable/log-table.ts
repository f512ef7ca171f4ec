import { Impossible, choice, length, ok, solvedLength, type Parameter } from '../parameter';
import type { Mm } from '../measure';
import { formatLength, parseLength } from '../measure';
import { lineStyles, styleOf } from './line-styles';
import { boxed, level, upright, words, type Mark } from './mark';
import { clipped, leftOut, linesOf, middleBaseline } from './parts';
import { definePrintable, type PrintableContext, type Track } from './printable';
import { countParameter, fitParameter, rhythm } from './rhythm';
import { phrase, rowsOfWords } from './typed';

/** Columns with headings and rows to fill in: logs, score sheets, lists to sign. */
export const logTable = definePrintable({
  kind: 'log-table',
  group: 'forms',
  presets: [
    { id: 'log', title: 'Log', about: 'Columns with headings, rows down the page.', decisions: {} },
    {
      id: 'score-sheet',
      title: 'Score sheet',
      about: 'Rounds down, players across, a sum at the foot.',
      decisions: {
        columns: 'Round = 16 mm\nA\nB\nC\nD',
        beside: 'numbers',
        sum: 'Sum',
        row: '9 mm',
        head: '12 mm',
        bands: 'every second',
      },
      piece: { kind: 'notepad' },
    },
    {
      id: 'sign-up',
      title: 'Sign-up sheet',
      about: 'Numbered rows for names and addresses.',
      decisions: { columns: 'No. = 12 mm\nName\nE-mail\nSeats = 16 mm', beside: 'numbers', row: '10 mm' },
    },
  ],
  parameters: {
    columns: columnsParameter(
      'Columns',
      'Time = 18 mm\nObject\nMagnitude = 22 mm\nSeeing = 18 mm\nNotes',
      'One a line: heading, and a width after =, if it has one. The others share the rest.',
    ),
    head: length('Head', ['9 mm', '3/8 in'], 'Height of the headings.', { most: 100 }),
    row: length('Row', ['8 mm', '5/16 in'], 'From row to row.', { least: 2, most: 100 }),
    fit: fitParameter,
    count: countParameter,
    beside: choice('First column', 'empty', 'What stands in it.', { empty: 'nothing', numbers: 'numbers' }),
    sum: phrase('Last row', '', 'A heading for sums, if there is such a row.'),
    'sum-row': solvedLength('Its height', 'Left out, the head’s.', { most: 100, when: (v) => v['sum'] !== '' }),
    bands: choice('Bands', 'none', 'Rows that are tinted.', { none: 'none', 'every second': 'every second' }),
    style: lineStyles('Lines', 'solid 0.35pt pale', 'Dash, weight, colour.'),
    frame: lineStyles('Frame and head', 'solid 0.8pt ink', 'Dash, weight, colour.'),
  },
  solve: (d, box, context) => {
    const columns = widths(d.columns, box.width, context);
    const foot = d.sum === '' ? 0 : (d['sum-row'] ?? d.head);
    const beat = rhythm(
      {
        what: 'row',
        height: box.height,
        head: d.head,
        foot,
        set: d.row,
        gap: 0,
        fit: d.fit,
        count: d.count,
        gives: 'set',
        decisions: { head: 'head', spacing: 'row', count: 'count' },
      },
      context,
    );
    const bottom = d.head + beat.count * beat.set;
    const end = bottom + foot;
    const [style, frame] = [styleOf(d.style), styleOf(d.frame)];
    const letters = context.lettering('title', false);
    const size = Math.min(d.head * 0.42, 4);
    const cut: string[] = [];
    const marks: Mark[] = [
      ...(d.bands === 'none'
        ? []
        : beat.starts.flatMap((y, i) =>
            i % 2 === 1 ? [boxed({ x: 0, y, width: box.width, height: beat.set }, null, 'tint')] : [],
          )),
      ...beat.starts.slice(1).map((y) => level(y, 0, box.width, style)),
      ...columns.slice(1).map(({ start }) => upright(start, 0, end, style)),
      boxed({ x: 0, y: 0, width: box.width, height: end }, frame),
      ...(d.head > 0 ? [level(d.head, 0, box.width, frame)] : []),
      ...(foot > 0 ? [level(bottom, 0, box.width, frame)] : []),
      ...columns.map(({ heading, start, size: width }) =>
        words(
          clipped(heading, width - 3, size, letters, cut),
          { x: start + 1.5, y: middleBaseline(0, d.head, size, letters) },
          size,
          { face: 'title' },
        ),
      ),
      ...(d.beside === 'numbers'
        ? beat.starts.map((y, i) =>
            words(
              String(i + 1),
              {
                x: (columns[0]?.size ?? 0) / 2,
                y: middleBaseline(y, beat.set, beat.set * 0.4, context.lettering('text', false)),
              },
              Math.min(4, beat.set * 0.4),
              { align: 'centre', role: 'pale' },
            ),
          )
        : []),
      ...(foot > 0
        ? [words(d.sum, { x: 1.5, y: middleBaseline(bottom, foot, size, letters) }, size, { face: 'title' })]
        : []),
    ];
    return {
      marks,
      ...leftOut(cut),
      findings: beat.findings,
      tracks: { columns, rows: beat.starts.map((start) => ({ start, size: beat.set })) },
    };
  },
});

/** Columns as typed, their widths written in mm: another unit of the job later on does not change them. */
function columnsParameter(label: string, preset: string, help: string): Parameter<string> {
  const words = rowsOfWords(label, preset, help);
  return {
    ...words,
    read: (entry, context) => {
      const lines = entry.split(entry.includes('\n') ? '\n' : '|');
      const out: string[] = [];
      let at = 0;
      for (const line of lines) {
        const [heading = '', width] = line.split('=', 2);
        const read = width === undefined ? undefined : parseLength(width, context);
        if (read && !read.ok)
          return { ok: false, error: { ...read.error, at: at + heading.length + 1 + read.error.at } };
        out.push(read?.ok ? `${heading.trim()} = ${formatLength(read.value, 'mm')}` : heading.trim());
        at += line.length + 1;
      }
      return ok(out.filter((l) => l !== '').join('\n'));
    },
  };
}

interface Column extends Track {
  readonly heading: string;
}

/** Columns with a width have it; the others share what is left. */
function widths(text: string, room: Mm, { write }: PrintableContext): readonly Column[] {
  const read = linesOf(text).map((line) => {
    const [heading = '', width] = line.split('=', 2).map((part) => part.trim());
    if (width === undefined) return { heading, width: undefined };
    const length = parseLength(width, { unit: 'mm', ppi: 300 });
    if (!length.ok || length.value <= 0)
      throw new Impossible('columns', `“${line}”: the width is a length, such as Time = 18 mm.`);
    return { heading, width: length.value };
  });
  if (read.length === 0) throw new Impossible('columns', 'Name at least one column.');
  const open = read.filter((c) => c.width === undefined).length;
  const taken = read.reduce((sum, c) => sum + (c.width ?? 0), 0);
  const share = open > 0 ? (room - taken) / open : 0;
  if (taken > room + 1e-6 || (open > 0 && share < 2))
    throw new Impossible('columns', `The widths take ${write(taken)} of ${write(room)}: make them narrower.`);
  let at = 0;
  return read.map(({ heading, width }): Column => {
    const size = width ?? share;
    at += size;
    return { heading, start: at - size, size };
  });
}
