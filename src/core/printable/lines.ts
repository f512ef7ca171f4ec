import { Impossible, choice, length, solvedLength } from '../parameter';
import { lineStyles, styleOf, stylesOf } from './line-styles';
import { level, upright, words, type Mark } from './mark';
import { definePrintable } from './printable';
import { countParameter, fitParameter, rhythm } from './rhythm';

/** Of the figures beside the lines, as a share of the spacing [cp]. */
const FIGURE_SIZE = 0.42;

/** Sets of lines down a box, each line in its own style. */
export const lines = definePrintable({
  kind: 'lines',
  group: 'rulings',
  presets: [
    {
      id: 'ruled',
      title: 'Ruled lines',
      about: 'Lines at a spacing, with a head and a margin line.',
      decisions: {},
      piece: { kind: 'ruled-paper' },
    },
    {
      id: 'narrow-ruled',
      title: 'Narrow lines',
      about: 'Fine dotted lines, numbered, without a margin.',
      decisions: { spacing: '6 mm', margin: '0 mm', set: 'dotted 0.6pt', head: '12 mm', numbers: 'left', fit: 'fill' },
    },
    {
      id: 'staves',
      title: 'Music staves',
      about: 'Five lines to a stave, as many staves as fit.',
      decisions: { spacing: '2 mm', gap: '11 mm', set: '5x solid 0.4pt', margin: '0 mm', head: '10 mm', fit: 'fill' },
    },
  ],
  parameters: {
    spacing: length('Spacing', ['7.1 mm', '9/32 in'], 'From line to line; within a set, where a set has several.', {
      least: 0.5,
      most: 300,
    }),
    set: lineStyles(
      'Lines of a set',
      'solid 0.5pt pale',
      'One or several, from the top: dash, weight, colour. 2x doubles one.',
    ),
    gap: solvedLength(
      'Gap between sets',
      'From set to set, where a set has several lines; left out, one and a half spacings.',
      { most: 500 },
    ),
    head: length('Head', ['20 mm', '3/4 in'], 'Free above the first line.'),
    foot: solvedLength('Foot', 'Free below the last line; left out, one gap, so that no line stands on the edge.'),
    fit: fitParameter,
    count: countParameter,
    margin: length('Margin line', ['32 mm', '1.25 in'], 'From the left edge; 0 for none.'),
    'margin-style': lineStyles('Its style', 'solid 0.75pt accent', 'Dash, weight, colour.'),
    numbers: choice('Numbers', 'none', 'Beside each line or set.', {
      none: 'none',
      left: 'at the left',
      right: 'at the right',
    }),
  },
  solve: (d, box, context) => {
    const styles = stylesOf(d.set);
    const set = (styles.length - 1) * d.spacing;
    const gap = styles.length > 1 ? (d.gap ?? 1.5 * d.spacing) : d.spacing;
    if (d.margin >= box.width)
      throw new Impossible('margin', `The margin line is less than ${context.write(box.width)} from the left edge.`);
    const what = styles.length > 1 ? 'set' : 'line';
    const { head, foot, fit, count } = d;
    const beat = rhythm({ what, height: box.height, head, foot, set, gap, fit, count, gives: 'gap' }, context);
    const rows = beat.starts.flatMap((start, i): Mark[] => {
      const last = start + set;
      const figure = d.spacing * FIGURE_SIZE;
      const x = d.numbers === 'left' ? figure * 0.4 : box.width - figure * 0.4;
      return [
        ...styles.map((style, n) => level(start + n * d.spacing, 0, box.width, style)),
        ...(d.numbers === 'none'
          ? []
          : [words(String(i + 1), { x, y: last - figure * 0.35 }, figure, { align: d.numbers, role: 'pale' })]),
      ];
    });
    const margin = d.margin > 0 ? [upright(d.margin, 0, box.height, styleOf(d['margin-style']))] : [];
    return {
      marks: [...rows, ...margin],
      findings: beat.findings,
      tracks: {
        columns: [{ start: d.margin, size: box.width - d.margin }],
        rows: beat.starts.map((start) => ({ start, size: beat.set + beat.gap })),
      },
    };
  },
});
