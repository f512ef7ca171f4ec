import { Impossible, count, fitOnSheet, length, number, size } from '../../format';
import { answerFigure, defineQuestion, toThousandths } from '../question';
import type { SketchMark } from '../../glossary';
import { formatNumber } from '../../measure';
import type { Size } from '../../paper';

export const sheets = defineQuestion({
  id: 'sheets',
  title: 'Sheets and overs',
  about: 'Up on a sheet, sheets to buy, and what they weigh.',
  parameters: {
    size: size('Piece', ['A6', 'quarter letter'], 'Trimmed.'),
    bleed: length('Bleed', ['3 mm', '1/8 in'], 'At each edge.'),
    sheet: size('Sheet', ['SRA3', '12 x 18 in'], 'That is printed.'),
    quantity: count('Copies', '2000', 'Good ones.', 1, 100_000_000),
    fixed: count('Make-ready', '50', 'Sheets until it runs well.', 0, 100_000),
    running: number('Running overs, %', '3', 'Spoilt on the way.', 0, 50),
    grammage: number('Weight, g/m²', '150', 'Of the paper.', 10, 2000),
  },
  job: { kind: 'flyer' },
  answer: ({ size: s, bleed, sheet, quantity, fixed, running, grammage }, { write }) => {
    const fit = laid(s, bleed, sheet);
    if (fit.up === 0)
      throw new Impossible('sheet', `The piece does not lie on this sheet: ${fit.why ?? 'it is too large'}.`);
    const good = Math.ceil(quantity / fit.up);
    const need = good + fixed + Math.ceil((good * running) / 100);
    const kg = (need * sheet.width * sheet.height * grammage) / 1e9;
    return [
      answerFigure({
        id: 'up',
        name: 'Up',
        value: fit.up,
        unit: 'count',
        working: [
          `${fit.across} across × ${fit.down} down${fit.turned ? ', the sheet turned' : ''}`,
          `one, centred: ${write(fit.left)} from the left, ${write(fit.top)} from the top`,
        ],
        rule: 'Plain rows and columns',
      }),
      answerFigure({
        id: 'need',
        name: 'Sheets needed',
        value: need,
        unit: 'count',
        working: [
          `⌈${quantity} ÷ ${fit.up}⌉ = ${good}`,
          `+ ${fixed} to make ready + ⌈${good} × ${running} %⌉ = ${need}`,
        ],
        rule: 'Quantity over up, and overs (common practice)',
      }),
      answerFigure({
        id: 'weight',
        name: 'They weigh',
        value: toThousandths(kg),
        unit: 'kg',
        working: [
          `${need} × ${formatNumber((sheet.width * sheet.height) / 1e6, 4)} m² × ${grammage} g/m² = ` +
            `${formatNumber(kg, 2)} kg`,
        ],
        rule: 'Area × grammage × count',
      }),
    ];
  },
  draw: ({ size: s, bleed, sheet }) => {
    const { across, down, turned } = laid(s, bleed, sheet);
    const [width, height] = turned ? [sheet.height, sheet.width] : [sheet.width, sheet.height];
    const [w, h] = [s.width + 2 * bleed, s.height + 2 * bleed];
    const [left, top] = [(width - across * w) / 2, (height - down * h) / 2];
    const places = Array.from({ length: Math.min(across * down, DRAWN) }, (_, i) => [
      left + (i % across) * w,
      top + Math.floor(i / across) * h,
    ]);
    return {
      width,
      height,
      marks: [
        { is: 'box', at: [0, 0, width, height], as: 'paper' },
        ...places.flatMap(([x = 0, y = 0]): SketchMark[] => [
          { is: 'box', at: [x, y, w, h], as: 'bleed' },
          { is: 'box', at: [x + bleed, y + bleed, s.width, s.height], as: 'trim' },
        ]),
      ],
    };
  },
});

/** Copies on a sheet that are drawn at most; more are too small to be told apart. */
const DRAWN = 400;

/** Copies in plain rows and columns on a sheet, with room for its marks. */
const laid = (trim: Size, bleed: number, sheet: Size) =>
  fitOnSheet({
    trim,
    withBleed: { width: trim.width + 2 * bleed, height: trim.height + 2 * bleed },
    marks: Math.max(3, bleed) + 5,
    unprintable: 5,
    sheet: { name: 'the sheet', ...sheet },
  });
