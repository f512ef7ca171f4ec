import { crossFolds } from '../fold';
import type { Figure } from '../figure';
import { envelopeFacts, envelopeParameter } from './envelope-figures';
import { defineFormat } from './format';
import { foldedSheet } from './folded-sheet';
import { paperName } from '../paper';
import { choice, optional, size } from '../parameter';
import type { Size } from '../paper';

const sheetParameter = optional(
  size('Sheet', 'A4', 'The sheet it is printed on alone, to be cut out; left out, the house’s sheets.'),
);

export const foldedCard = defineFormat({
  kind: 'folded-card',
  title: 'Folded card',
  about: 'A card folded once at the side or at the top, with its envelope.',
  group: 'folded',
  parameters: {
    size: size('Finished size', ['A6', '5 x 7 in'], 'Folded; width x height, or a paper name.'),
    fold: choice('Fold', 'side', 'Where it opens from.', { side: 'at the side', top: 'at the top' }),
    crease: choice('Crease', 'score', 'Card cracks unless it is scored.', { score: 'scored', fold: 'folded' }),
    sheet: sheetParameter,
    envelope: envelopeParameter('auto'),
  },
  plan: (d, context) => {
    const { width, height } = d.size;
    const side = d.fold === 'side';
    const { write } = context;
    const flat = side ? { width: 2 * width, height } : { width, height: 2 * height };
    const [leftFold, topFold] = crossFolds().toReversed();
    if (!leftFold || !topFold) throw new RangeError('A cross fold has two folds.');
    const envelope = envelopeFacts(d.envelope, d.size, 2 * context.rules.thickness.value, context);
    const plan = foldedSheet(
      {
        flat,
        columns: side ? [width, width] : [width],
        rows: side ? [height] : [height, height],
        folds: side ? [leftFold] : [topFold],
        names: side
          ? { outside: ['back', 'front'], inside: ['inside left', 'inside right'] }
          : { outside: ['front', 'back'], inside: ['inside top', 'inside bottom'] },
        working: [side ? `2 × ${write(width)} wide` : `2 × ${write(height)} high`],
        rule: 'Opened out, twice the finished size',
        crease: d.crease,
        parameter: 'size',
        problems: envelope.problems,
        figures: [...envelope.figures, ...(d.sheet ? onSheet(d.sheet, flat, side, write) : [])],
      },
      context,
    );
    return d.sheet ? { ...plan, onSheet: { name: paperName(d.sheet) ?? 'its sheet', size: d.sheet } } : plan;
  },
});

/** Where the card and its score lie on its sheet when it is centred. */
function onSheet(sheet: Size, flat: Size, side: boolean, write: (mm: number) => string): readonly Figure[] {
  const [left, top] = [(sheet.width - flat.width) / 2, (sheet.height - flat.height) / 2];
  const score = side ? left + flat.width / 2 : top + flat.height / 2;
  return [
    {
      id: 'score-on-sheet',
      group: 'on the sheet',
      name: 'Score on the sheet',
      value: score,
      unit: 'mm',
      working: [
        `left over: (${write(sheet.width)} − ${write(flat.width)}) ÷ 2 = ${write(left)}, ` +
          `(${write(sheet.height)} − ${write(flat.height)}) ÷ 2 = ${write(top)}`,
        `score at ${write(side ? left : top)} + ${write(side ? flat.width / 2 : flat.height / 2)} = ${write(score)}`,
      ],
      rule: `Centred on the sheet, from its ${side ? 'left' : 'top'} edge`,
    },
  ];
}
