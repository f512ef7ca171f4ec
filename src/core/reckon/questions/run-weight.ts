import { answerFigure, defineQuestion, toThousandths } from '../question';
import { count, number, size } from '../../format';
import { formatNumber } from '../../measure';
import { thicknessByWeight } from '../../shop';

export const runWeight = defineQuestion({
  id: 'run-weight',
  title: 'Weight of a run',
  about: 'What the finished copies weigh, one and all.',
  parameters: {
    size: size('Flat size', ['A4', 'letter'], 'Opened out.'),
    leaves: count('Leaves', '1', 'Sheets in one copy.', 1, 2000),
    grammage: number('Weight, g/m²', '130', 'Of the paper.', 10, 2000),
    quantity: count('Copies', '4000', 'All of them.', 1, 100_000_000),
  },
  job: { kind: 'flyer' },
  answer: ({ size: s, leaves, grammage, quantity }) => {
    const one = (s.width * s.height * grammage * leaves) / 1e6;
    const kg = (one * quantity) / 1000;
    return [
      answerFigure({
        id: 'one',
        name: 'One copy, grams',
        value: toThousandths(one),
        unit: 'count',
        working: [
          `${formatNumber((s.width * s.height) / 1e6, 5)} m² × ${grammage} g/m² × ${leaves} = ` +
            `${formatNumber(one, 2)} g`,
        ],
        rule: 'Area × grammage',
      }),
      answerFigure({
        id: 'run',
        name: 'The run',
        value: toThousandths(kg),
        unit: 'kg',
        working: [`${formatNumber(one, 2)} g × ${quantity} = ${formatNumber(kg, 1)} kg`],
        rule: 'Area × grammage × count',
      }),
      answerFigure({
        id: 'pile',
        name: 'As one pile',
        value: toThousandths((thicknessByWeight('coated', grammage) * leaves * quantity) / 1000),
        unit: 'count',
        working: [
          `about ${formatNumber((thicknessByWeight('coated', grammage) * leaves * quantity) / 1000, 2)} m ` +
            'high, coated paper',
        ],
        rule: 'Caliper from weight × bulk (common practice)',
      }),
    ];
  },
});
