import { JOB_UNITS, formatLength, parseLength, type Unit } from '../../measure';
import { answerFigure, defineQuestion, toThousandths } from '../question';
import { ok, text } from '../../format';

export const unitSum = defineQuestion({
  id: 'unit-sum',
  title: 'A sum of lengths',
  about: 'Any units, any arithmetic, in every unit at once.',
  parameters: {
    sum: text(
      'Sum',
      '5ft 6in + 3 1/2 in',
      'Lengths with + − × ÷ and brackets; a bare number is in the unit above.',
      (typed, context) => {
        const read = parseLength(typed, context);
        return read.ok ? ok(`${read.value} mm`) : read;
      },
    ),
  },
  job: { kind: 'flyer' },
  answer: ({ sum }) => {
    const mm = Number.parseFloat(sum);
    const units: readonly Unit[] = [...JOB_UNITS, 'ft', 'm'];
    return units.map((unit) =>
      answerFigure({
        id: unit,
        name: `In ${unit}`,
        value: toThousandths(mm),
        unit: 'mm',
        working: [formatLength(mm, unit)],
        rule: '1 in = 25.4 mm = 72 pt exactly (ISO 80000-3; PDF user space)',
      }),
    );
  },
});
