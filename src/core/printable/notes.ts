import { Impossible, length } from '../parameter';
import { lineStyles, styleOf } from './line-styles';
import { level, upright, words } from './mark';
import { definePrintable } from './printable';
import { rhythm } from './rhythm';

/** A page for notes: a column for cues, lines, and room for a summary. */
export const notes = definePrintable({
  kind: 'notes',
  group: 'rulings',
  presets: [
    {
      id: 'notes',
      title: 'Notes with cues',
      about: 'A cue column at the left, lines at the right, a summary below.',
      decisions: {},
    },
  ],
  parameters: {
    head: length('Head', ['18 mm', '3/4 in'], 'For the subject and the date.'),
    cue: length('Cue column', ['52 mm', '2 in'], 'Width at the left.'),
    summary: length('Summary', ['42 mm', '1.75 in'], 'Height at the foot; 0 for none.'),
    spacing: length('Spacing', ['7.1 mm', '9/32 in'], 'From line to line.', { least: 2, most: 100 }),
    style: lineStyles('Lines', 'solid 0.4pt pale', 'Dash, weight, colour.'),
    rules: lineStyles('Dividing lines', 'solid 0.9pt accent', 'Dash, weight, colour.'),
  },
  solve: (d, box, context) => {
    const { write } = context;
    if (d.cue >= box.width) throw new Impossible('cue', `The cue column is less than ${write(box.width)} wide.`);
    if (d.head + d.summary >= box.height)
      throw new Impossible('summary', `Head and summary leave nothing of ${write(box.height)}.`);
    const foot = box.height - d.summary;
    const beat = rhythm(
      {
        what: 'line',
        height: foot - d.head,
        head: d.spacing,
        foot: undefined,
        set: 0,
        gap: d.spacing,
        fit: 'keep',
        count: undefined,
        gives: 'gap',
      },
      context,
    );
    const [style, rule] = [styleOf(d.style), styleOf(d.rules)];
    const size = 2.6;
    return {
      marks: [
        ...beat.starts.map((y) => level(d.head + y, d.cue + 3, box.width, style)),
        level(d.head, 0, box.width, rule),
        upright(d.cue, d.head, foot, rule),
        ...(d.summary > 0 ? [level(foot, 0, box.width, rule)] : []),
        words('Subject', { x: 0, y: d.head - 2 }, size, { role: 'pale' }),
        words('Date', { x: box.width * 0.72, y: d.head - 2 }, size, { role: 'pale' }),
        words('Cues', { x: 0, y: d.head + size + 1.5 }, size, { role: 'pale' }),
        ...(d.summary > 0 ? [words('Summary', { x: 0, y: foot + size + 1.5 }, size, { role: 'pale' })] : []),
      ],
      findings: beat.findings,
      tracks: {
        columns: [
          { start: 0, size: d.cue },
          { start: d.cue, size: box.width - d.cue },
        ],
        rows: [
          { start: 0, size: d.head },
          { start: d.head, size: foot - d.head },
          ...(d.summary > 0 ? [{ start: foot, size: d.summary }] : []),
        ],
      },
    };
  },
});
