import { Impossible, allowance, choice, count, size } from '../../format';
import { SCHEMES, SCHEME_NAMES, type Scheme, type SchemeName } from '../../fold';
import { answerFigure, defineQuestion, toThousandths } from '../question';

const FOLD_CHOICES = Object.fromEntries(SCHEME_NAMES.map((n) => [n, SCHEMES[n].title])) as Record<SchemeName, string>;

export const panels = defineQuestion({
  id: 'fold-panels',
  title: 'Panels of a fold',
  about: 'Widths in the order in which the outside is read.',
  parameters: {
    size: size('Flat size', ['A4 landscape', 'letter landscape'], 'Opened out.'),
    fold: choice('Fold', 'letter', 'How it is folded.', FOLD_CHOICES),
    panels: count('Panels', '4', 'Of an accordion or a roll.', 3, 12, {
      when: (v) => v['fold'] === 'accordion' || v['fold'] === 'roll',
    }),
    allowance: allowance('Allowance', 'even, shift:1mm or thickness:0.12mm; left out, 1 mm of shift.'),
  },
  job: { kind: 'brochure' },
  answer: ({ size: s, fold, panels: n, allowance: given }, { write }) => {
    const scheme: Scheme = SCHEMES[fold];
    const { least, most } = scheme.panels;
    const many = least === most ? least : n;
    if (many < least || many > most)
      throw new Impossible('panels', `A ${scheme.title} has from ${least} to ${most} panels.`);
    const found = scheme.widths(
      s.width,
      many,
      { allowance: given ?? { school: 'shift', mm: 1 }, caliper: 0.12, tolerance: 1, floor: 0 },
      write,
    );
    const names = scheme.outside(many);
    const widths = [...found.widths].reverse();
    return [
      answerFigure({
        id: 'panels',
        name: 'Panels, outside',
        value: widths.map(toThousandths),
        unit: 'mm',
        working: [...found.working, names.map((name, i) => `${name} ${write(widths[i] ?? 0)}`).join(' | ')],
        rule: found.rule,
      }),
    ];
  },
});
