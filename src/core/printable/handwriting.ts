import { ptToMm, type Mm } from '../measure';
import { Impossible, choice, count, length } from '../parameter';
import { lineStyles, styleOf } from './line-styles';
import { boxed, level, words, type LineStyle, type Mark, type Role } from './mark';
import { linesOf } from './parts';
import { definePrintable, type Finding } from './printable';
import { countParameter, fitParameter, rhythm } from './rhythm';
import { strokedWidth, strokedWords, type Hand } from './stroked-words';
import { rowsOfWords } from './typed';

/** Room between the copies of a word, in x-heights. */
const BETWEEN_COPIES = 1.4;

/** Gaps between dots grow by this from copy to copy, where they fade; never past the most. */
const FADES = 1.5;
const MOST_SPARSE = 12;

const sparseAfter = (steps: number): number => Math.min(MOST_SPARSE, FADES ** Math.max(0, steps));

/** Sets of lines for learning to write, with letters to trace that meet the lines. */
export const handwriting = definePrintable({
  kind: 'handwriting',
  group: 'handwriting',
  presets: [
    {
      id: 'four-lines',
      title: 'Four-line sets',
      about: 'Outer lines solid, inner ones dashed; nothing written on them.',
      decisions: { words: '', head: '25 mm' },
    },
    {
      id: 'three-lines',
      title: 'Three-line sets',
      about: 'A dashed line in the middle.',
      decisions: { words: '', lines: 'three', head: '25 mm' },
    },
    {
      id: 'narrow-sets',
      title: 'Narrow sets',
      about: 'Four lines close together, for older hands.',
      decisions: { words: '', spacing: '0.11 in', gap: '0.27 in', head: '25 mm' },
    },
    {
      id: 'tracing',
      title: 'Words to trace',
      about: 'Each row a word, dotted, with fewer dots at every copy.',
      decisions: {},
    },
    {
      id: 'letters',
      title: 'Letters with their strokes',
      about: 'Numbers and arrows show the order and the way of the pen.',
      decisions: {
        words: 'a b c d e f g\nh i j k l m\nn o p q r s\nt u v w x y z',
        order: 'yes',
        copies: 'once',
        fade: 'no',
        form: 'pale',
        spacing: '9 mm',
        gap: '9 mm',
      },
    },
    {
      id: 'name-tracing',
      title: 'A name, row by row',
      about: 'One name, each row with fewer dots than the one above.',
      decisions: { words: 'Juniper', fade: 'rows', repeat: 'yes' },
    },
  ],
  parameters: {
    lines: choice('Lines of a set', 'four', 'Ascender, x-height, baseline, descender; three leave out the last.', {
      four: 'four',
      three: 'three',
    }),
    spacing: length('x-height', ['6.35 mm', '0.25 in'], 'From the baseline to the line above it.', {
      least: 1,
      most: 100,
    }),
    gap: length('Between sets', ['9.525 mm', '0.375 in'], '', { most: 200 }),
    outer: choice(
      'Ascender and descender',
      'equal',
      'As far away as the inner ones are apart, or where the letters of the typeface end.',
      { equal: 'equally far', face: 'by the typeface' },
    ),
    head: length('Head', ['0 mm', '0 in'], 'Free above the first set.'),
    fit: fitParameter,
    count: countParameter,
    words: rowsOfWords('Words', 'Mercury\nVenus\nEarth\nMars', 'One row each; left out, lines only.'),
    repeat: choice('Again', 'no', 'From the first row again until the page is full, or lines only after the last.', {
      no: 'each once',
      yes: 'again and again',
    }),
    letters: choice('Letters', 'strokes', 'Our own in single strokes, or the outlines of the typeface.', {
      strokes: 'single strokes',
      face: 'the typeface',
    }),
    form: choice('Drawn', 'dotted', 'How they are drawn.', {
      dotted: 'dotted',
      dashed: 'dashed',
      pale: 'pale',
      solid: 'solid',
    }),
    first: choice('The first', 'solid', 'Of each row.', { solid: 'solid', like: 'like the others' }),
    copies: choice('Copies', 'fill', 'Of a word in its row.', { fill: 'as many as fit', once: 'one' }),
    fade: choice('Fewer dots', 'along', 'From copy to copy, or from row to row.', {
      along: 'along the row',
      rows: 'down the page',
      no: 'not at all',
    }),
    order: choice(
      'Order of strokes',
      'no',
      'Numbers and arrows beside the strokes.',
      { no: 'not shown', yes: 'shown' },
      { when: (v) => v['letters'] === 'strokes' },
    ),
    ground: choice('Ground', 'white', 'A tint around white writing areas.', {
      white: 'white',
      tint: 'tinted around the sets',
    }),
    'base-style': lineStyles('Baseline', 'solid 0.6pt ink', 'Dash, weight, colour.'),
    'middle-style': lineStyles('x-height line', 'dashed 0.4pt pale', 'Dash, weight, colour.'),
    'outer-style': lineStyles('Outer lines', 'solid 0.4pt pale', 'Dash, weight, colour.'),
    indent: count('Indent', '0', 'Of the words, in percent of the width.', 0, 50),
  },
  solve: (d, box, context) => {
    const face = context.lettering('text', false);
    const size = d.spacing / face.xHeight;
    const byFace = d.outer === 'face';
    const above = byFace ? size * face.ascender - d.spacing : d.spacing;
    const below = byFace ? size * face.descender : d.spacing;
    const set = d.spacing + above + (d.lines === 'four' ? below : 0);
    // Numbers of strokes that begin on the upper line stand above it.
    const head = Math.max(d.head, d.order === 'yes' && d.letters === 'strokes' ? d.spacing * 0.35 : 0);
    const beat = rhythm(
      { what: 'set', height: box.height, head, foot: 0, set, gap: d.gap, fit: d.fit, count: d.count, gives: 'gap' },
      context,
    );
    const hand: Hand = { x: d.spacing, above, below };
    const rows = linesOf(d.words);
    const ruled = beat.starts.flatMap((top): Mark[] => {
      const outer = styleOf(d['outer-style']);
      return [
        level(top, 0, box.width, outer),
        level(top + above, 0, box.width, styleOf(d['middle-style'])),
        level(top + above + d.spacing, 0, box.width, styleOf(d['base-style'])),
        ...(d.lines === 'four' ? [level(top + set, 0, box.width, outer)] : []),
      ];
    });
    // Numbers and arrows of a first letter stand a little to its left.
    const left = (box.width * d.indent) / 100 + (d.order === 'yes' && d.letters === 'strokes' ? d.spacing * 0.4 : 0);
    const lengthOf = (text: string): Mm => {
      if (d.letters === 'face') return face.width(text) * size;
      const width = strokedWidth(text, hand);
      if (width === undefined)
        throw new Impossible(
          'words',
          `“${text}” has a character that there are no strokes for: letters a to z, A to Z and 0 to 9. ` +
            'Choose the typeface.',
        );
      return width;
    };
    const written = beat.starts.flatMap((top, row): readonly Mark[] => {
      const text = d.repeat === 'yes' && rows.length > 0 ? rows[row % rows.length] : rows[row];
      if (text === undefined) return [];
      const width = lengthOf(text);
      const room = box.width - left;
      if (width > room + 1e-6)
        throw new Impossible(
          'words',
          `“${text}” is ${context.write(width)} long, the row ${context.write(room)}: a smaller x-height, or ` +
            'shorter words.',
        );
      const between = BETWEEN_COPIES * d.spacing;
      const copies = d.copies === 'once' ? 1 : Math.floor((room + between) / (width + between) + 1e-9);
      const y = top + above + d.spacing;
      return Array.from({ length: copies }, (_, copy): readonly Mark[] => {
        const isFirst = copy === 0 && d.first === 'solid' && (d.fade !== 'rows' || row === 0);
        const steps = d.fade === 'along' ? copy - (d.first === 'solid' ? 1 : 0) : d.fade === 'rows' ? row : 0;
        const at = { x: left + copy * (width + between), y };
        const form = isFirst ? 'solid' : d.form;
        return d.letters === 'face'
          ? [faceWord(text, at, size, form, sparseAfter(steps))]
          : strokedWords(text, at, hand, penOf(form, d.spacing, sparseAfter(steps)), d.order === 'yes');
      }).flat();
    });
    const ground: readonly Mark[] =
      d.ground === 'tint'
        ? [
            boxed({ x: 0, y: 0, ...box }, null, 'tint'),
            ...beat.starts.map((top) =>
              boxed(
                {
                  x: 0,
                  y: top - Math.min(d.gap * 0.2, top),
                  width: box.width,
                  height: set + Math.min(d.gap * 0.4, box.height - top - set + Math.min(d.gap * 0.2, top)),
                },
                null,
                'paper',
              ),
            ),
          ]
        : [];
    const findings: Finding[] = [
      ...beat.findings,
      {
        id: 'set',
        name: 'Height of a set',
        value: set,
        unit: 'mm',
        working: [
          `${context.write(above)} above + ${context.write(d.spacing)} ` +
            `x-height${d.lines === 'four' ? ` + ${context.write(below)} below` : ''} = ${context.write(set)}`,
        ],
        rule: byFace ? 'Outer lines where ascenders and descenders of the typeface end' : 'Lines equally far apart',
      },
      ...(d.letters === 'face' || byFace
        ? [
            {
              id: 'type',
              name: 'Size of the type',
              value: (size * 72) / 25.4,
              unit: 'pt' as const,
              working: [
                `${context.write(d.spacing)} ÷ ${face.xHeight.toFixed(3)} (x-height of the typeface) = ` +
                  context.write(size),
                `ascenders reach ${context.write(size * face.ascender)}, the line stands at ` +
                  `${context.write(d.spacing + above)}; descenders ${context.write(size * face.descender)}, ` +
                  `the line at ${context.write(below)}`,
              ],
              rule: 'size = spacing ÷ (x-height ÷ em)',
            },
          ]
        : []),
    ];
    const over = rows.slice(beat.count);
    return {
      marks: [...ground, ...ruled, ...written],
      ...(over.length > 0 && {
        left: [`${rows.length} rows of words and ${beat.count} sets: no room for ${over.join(', ')}.`],
      }),
      findings,
      tracks: { columns: [{ start: 0, size: box.width }], rows: beat.starts.map((start) => ({ start, size: set })) },
    };
  },
});

type Form = 'dotted' | 'dashed' | 'pale' | 'solid';

const roleOf = (form: Form): Role => (form === 'pale' ? 'pale' : 'ink');

function faceWord(text: string, at: { readonly x: Mm; readonly y: Mm }, size: Mm, form: Form, sparse: number): Mark {
  return words(text, at, size, {
    role: roleOf(form),
    ...((form === 'dotted' || form === 'dashed') && { form, sparse }),
  });
}

/** A pen for letters of an x-height: about a fourteenth of it [cp]. */
function penOf(form: Form, spacing: Mm, sparse: number): LineStyle {
  const dash = form === 'dotted' || form === 'dashed' ? form : 'solid';
  return { role: roleOf(form), dash, weightPt: (spacing * 0.07) / ptToMm(1), sparse };
}
