import { choice, number } from '../format';
import { answerFigure, defineQuestion } from './question';

/** Grams in a pound avoirdupois, exactly; square metres in a square inch, exactly. */
const [GRAMS, SQUARE_METRES] = [453.59237, 0.0254 * 0.0254];

/** Basis sizes, inches: a ream of 500 such sheets weighs the basis weight (from memory). */
export const BASIS = {
  text: { label: 'text, book, offset (25 × 38)', width: 25, height: 38 },
  cover: { label: 'cover (20 × 26)', width: 20, height: 26 },
  bond: { label: 'bond, writing (17 × 22)', width: 17, height: 22 },
  index: { label: 'index (25½ × 30½)', width: 25.5, height: 30.5 },
  tag: { label: 'tag, newsprint (24 × 36)', width: 24, height: 36 },
} as const;
export type Basis = keyof typeof BASIS;

/** Grammage from a basis weight: pounds a ream ÷ (500 × area of the basis size). */
export const grammageOf = (pounds: number, basis: Basis): number =>
  (pounds * GRAMS) / (500 * BASIS[basis].width * BASIS[basis].height * SQUARE_METRES);

export const poundsOf = (grammage: number, basis: Basis): number =>
  (grammage * 500 * BASIS[basis].width * BASIS[basis].height * SQUARE_METRES) / GRAMS;

const two = (n: number) => n.toFixed(2);

export const paperWeight = defineQuestion({
  id: 'paper-weight',
  title: 'Paper weight',
  about: 'Pounds by basis size and grams to the square metre.',
  parameters: {
    pounds: number('Basis weight, lb', '80', 'Of 500 sheets of the basis size.', 1, 1000),
    basis: choice('Basis size', 'text', 'What the pounds are counted in.', {
      text: BASIS.text.label,
      cover: BASIS.cover.label,
      bond: BASIS.bond.label,
      index: BASIS.index.label,
      tag: BASIS.tag.label,
    }),
  },
  job: { kind: 'flyer' },
  answer: ({ pounds, basis }) => {
    const { width, height } = BASIS[basis];
    const grams = grammageOf(pounds, basis);
    return [
      answerFigure({
        id: 'grammage',
        name: 'Grammage',
        value: Math.round(grams * 10) / 10,
        unit: 'g/m²',
        working: [
          `${pounds} lb × 453.59237 g ÷ (500 × ${width} × ${height} in × 0.00064516 m²) = ` + `${two(grams)} g/m²`,
        ],
        rule: 'A ream of 500 sheets of the basis size weighs the basis weight',
      }),
      ...(Object.keys(BASIS) as Basis[])
        .filter((b) => b !== basis)
        .map((b) =>
          answerFigure({
            id: `as-${b}`,
            name: `As ${b}`,
            value: Math.round(poundsOf(grams, b) * 10) / 10,
            unit: 'lb',
            working: [`${two(grams)} g/m² is ${two(poundsOf(grams, b))} lb ${BASIS[b].label}`],
            rule: 'The same paper by another basis size',
          }),
        ),
    ];
  },
});
