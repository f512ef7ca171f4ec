import { Impossible, count, length, size } from '../../format';
import { answerFigure, defineQuestion, toThousandths } from '../question';

export const spine = defineQuestion({
  id: 'spine',
  title: 'Spine of a book',
  about: 'From pages and paper, with the cover that goes around it.',
  parameters: {
    size: size('Page size', ['170 x 240 mm', '6 x 9 in'], 'Trimmed page.'),
    pages: count('Pages', '100', 'Inside the cover.', 2, 2000),
    thickness: length('Paper thickness', ['0.13 mm', '0.13 mm'], 'Caliper of a sheet.', { least: 0.01, most: 2 }),
    'cover-allowance': length('Cover allowance', '0 mm', 'What the binder adds.', { most: 20 }),
  },
  job: { kind: 'catalogue' },
  answer: ({ size: s, pages, thickness, 'cover-allowance': more }, { write }) => {
    if (pages % 2 !== 0) throw new Impossible('pages', `A leaf has two pages: take ${pages + 1} or ${pages - 1}.`);
    const mm = (pages / 2) * thickness + more;
    return [
      answerFigure({
        id: 'spine',
        name: 'Spine',
        value: toThousandths(mm),
        unit: 'mm',
        working: [`${pages} ÷ 2 × ${write(thickness)} + ${write(more)} = ${write(mm)}`],
        rule: 'Leaves × thickness + what the binder adds (common practice)',
      }),
      answerFigure({
        id: 'cover',
        name: 'Cover, flat',
        value: [toThousandths(2 * s.width + mm), s.height],
        unit: 'mm',
        working: [`${write(s.width)} + ${write(mm)} + ${write(s.width)} = ${write(2 * s.width + mm)}`],
        rule: 'Back + spine + front',
      }),
    ];
  },
  draw: ({ size: { width, height }, pages, thickness, 'cover-allowance': more }, { write }) => {
    const spread = (pages / 2) * thickness + more;
    const flat = 2 * width + spread;
    return {
      width: flat,
      height,
      marks: [
        { is: 'box', at: [0, 0, width, height], as: 'paper' },
        { is: 'box', at: [width + spread, 0, width, height], as: 'paper' },
        { is: 'box', at: [width, 0, spread, height], as: 'bleed' },
        { is: 'box', at: [0, 0, flat, height], as: 'trim' },
        { is: 'line', at: [width, 0, width, height], as: 'fold' },
        { is: 'line', at: [width + spread, 0, width + spread, height], as: 'fold' },
        { is: 'word', at: [width * 0.35, height / 2], word: 'back' },
        { is: 'word', at: [width * 1.35 + spread, height / 2], word: 'front' },
        {
          is: 'word',
          at: [width + spread + width * 0.03, height * 0.12],
          word: `spine ${write(toThousandths(spread))}`,
        },
      ],
    };
  },
});
