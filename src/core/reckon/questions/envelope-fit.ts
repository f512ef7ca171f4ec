import { ENVELOPES, fitEnvelope, type Size } from '../../paper';
import { Impossible, length, size } from '../../format';
import { answerFigure, defineQuestion, toThousandths } from '../question';

export const envelope = defineQuestion({
  id: 'envelope-fit',
  title: 'Which envelope',
  about: 'The envelopes that a flat or folded piece goes into, with clearance.',
  parameters: {
    size: size('Piece', ['A5', '5 x 7 in'], 'As it goes in.'),
    thick: length('Thickness', '0.5 mm', 'Of everything inside.', { most: 60 }),
  },
  job: { kind: 'invitation' },
  answer: ({ size: s, thick }, { write }) => {
    const fits = fitsOf(s, thick).slice(0, 4);
    if (fits.length === 0) throw new Impossible('size', 'No envelope on the list takes this: one has to be made.');
    return fits.map((f, i) =>
      answerFigure({
        id: `fit-${i}`,
        name: f.envelope.name,
        value: [toThousandths(f.envelope.width), toThousandths(f.envelope.height)],
        unit: 'mm',
        working: [
          `left over: ${write(f.clearance.width)} across, ${write(f.clearance.height)} ` +
            `down${f.turned ? ', turned a quarter' : ''}`,
          `needed each way: 1/8 in + ${write(thick)} = ${write(f.needed)}`,
        ],
        rule: i === 0 ? 'The smallest that takes it (common practice)' : 'Takes it too',
      }),
    );
  },
  draw: ({ size: s, thick }, { write }) => {
    const [best] = fitsOf(s, thick);
    if (!best) throw new Impossible('size', 'No envelope on the list takes this: one has to be made.');
    const { width, height } = best.envelope;
    const [w, h] = best.turned ? [s.height, s.width] : [s.width, s.height];
    return {
      width,
      height,
      marks: [
        { is: 'box', at: [0, 0, width, height], as: 'paper' },
        { is: 'line', at: [0, 0, width / 2, height * 0.45], as: 'measure' },
        { is: 'line', at: [width, 0, width / 2, height * 0.45], as: 'measure' },
        { is: 'box', at: [(width - w) / 2, (height - h) / 2, w, h], as: 'safe' },
        {
          is: 'word',
          at: [width * 0.06, height * 0.94],
          word: `${best.envelope.name}, ${write(width)} × ${write(height)}`,
        },
      ],
    };
  },
});

/** The envelopes that take a piece, the smallest first. */
const fitsOf = (piece: Size, thick: number) =>
  ENVELOPES.map((e) => fitEnvelope(piece, thick, e))
    .filter((f) => f.fits)
    .sort((a, b) => a.envelope.width * a.envelope.height - b.envelope.width * b.envelope.height);
