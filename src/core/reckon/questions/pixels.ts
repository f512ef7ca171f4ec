import { answerFigure, defineQuestion } from '../question';
import { length, number, size } from '../../format';
import { pixels } from '../../measure';

export const pixelCount = defineQuestion({
  id: 'pixels',
  title: 'Pixels for a size',
  about: 'How many pixels a picture needs, with its bleed.',
  parameters: {
    size: size('Size', ['A4', 'letter'], 'Trimmed; width x height, or a paper name.'),
    bleed: length('Bleed', ['3 mm', '1/8 in'], 'At each edge.'),
    ppi: number('Resolution, ppi', '300', 'Pixels to the inch.', 1, 5000),
  },
  job: { kind: 'poster' },
  answer: ({ size: s, bleed, ppi }, { write }) => {
    const [w, h] = [s.width + 2 * bleed, s.height + 2 * bleed];
    const px = [pixels(w, ppi), pixels(h, ppi)];
    return [
      answerFigure({
        id: 'pixels',
        name: 'With bleed',
        value: px,
        unit: 'px',
        working: [
          `round(${write(w)} ÷ 25.4 mm × ${ppi}) = ${px[0]}`,
          `round(${write(h)} ÷ 25.4 mm × ${ppi}) = ${px[1]}`,
        ],
        rule: 'Pixels = round(mm ÷ 25.4 × ppi)',
      }),
      answerFigure({
        id: 'trimmed',
        name: 'Trimmed',
        value: [pixels(s.width, ppi), pixels(s.height, ppi)],
        unit: 'px',
        working: [`${write(s.width)} × ${write(s.height)} at ${ppi} ppi`],
        rule: 'The same without bleed',
      }),
    ];
  },
  draw: ({ size: { width, height }, bleed }, { write }) => ({
    width: width + 2 * bleed,
    height: height + 2 * bleed,
    marks: [
      { is: 'box', at: [0, 0, width + 2 * bleed, height + 2 * bleed], as: 'bleed' },
      { is: 'box', at: [bleed, bleed, width, height], as: 'paper' },
      { is: 'box', at: [bleed, bleed, width, height], as: 'trim' },
      { is: 'word', at: [bleed + width * 0.1, bleed + height / 2], word: `${write(width)} × ${write(height)}` },
    ],
  }),
});
