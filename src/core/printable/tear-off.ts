import { count, length } from '../parameter';
import { Impossible } from '../parameter';
import { lineStyles, styleOf } from './line-styles';
import { level, upright, words, type Mark } from './mark';
import { linesOf, parts, sizeFor } from './parts';
import { definePrintable } from './printable';
import { phrase, rowsOfWords } from './typed';

/** A notice with strips at its foot to tear off. */
export const tearOff = definePrintable({
  kind: 'tear-off',
  group: 'forms',
  presets: [
    {
      id: 'tear-off',
      title: 'Notice with strips',
      about: 'A heading, room for a notice, strips to tear off at the foot.',
      decisions: {},
    },
  ],
  parameters: {
    title: phrase('Title', 'Helpers wanted', 'At the head.'),
    strips: count('Strips', '10', 'Side by side.', 1, 40),
    height: length('Height of the strips', ['55 mm', '2 in'], '', { least: 8, most: 400 }),
    words: rowsOfWords(
      'On each strip',
      'Quillrook Dark-Sky Society\nhelp@quillrook.example',
      'One a line, at most three.',
    ),
    tear: lineStyles('Lines to tear along', 'dotted 0.9pt ink', 'Dash, weight, colour.'),
  },
  solve: (d, box, { lettering, write }) => {
    if (d.height >= box.height) throw new Impossible('height', `The strips are less than ${write(box.height)} high.`);
    const strips = parts(box.width, d.strips);
    const wide = strips[0]?.size ?? 0;
    const lines = linesOf(d.words).slice(0, 3);
    const [face, letters] = [lettering('title', false), lettering('text', false)];
    const size =
      lines.length > 0
        ? sizeFor(lines, d.height * 0.88, Math.min(4.2, (wide * 0.8) / (lines.length * 1.25)), letters)
        : 0;
    const top = box.height - d.height;
    const style = styleOf(d.tear);
    const title = sizeFor([d.title || ' '], box.width, Math.min(24, top * 0.3), face);
    return {
      marks: [
        ...(d.title === '' ? [] : [words(d.title, { x: 0, y: title * face.capHeight }, title, { face: 'title' })]),
        level(top, 0, box.width, style),
        ...strips.slice(1).map(({ start }) => upright(start, top, box.height, style)),
        ...strips.flatMap(({ start, size: width }) =>
          lines.map((l, i): Mark => {
            // Lines of a strip run upward, the first at its left.
            const x = start + width / 2 + (i - (lines.length - 1) / 2) * size * 1.25 + size * 0.35;
            return words(l, { x, y: box.height - d.height * 0.06 }, size, { turn: -90 });
          }),
        ),
      ],
      findings: [
        {
          id: 'strip',
          name: 'Width of a strip',
          value: wide,
          unit: 'mm',
          working: [`${write(box.width)} ÷ ${d.strips} = ${write(wide)}`],
          rule: 'Equal strips, perforated or cut with a knife',
        },
      ],
      tracks: {
        columns: strips,
        rows: [
          { start: 0, size: top },
          { start: top, size: d.height },
        ],
      },
    };
  },
});
