import { Impossible, allowance, choice, count, size } from '../../format';
import { SCHEMES, SCHEME_NAMES, type Allowance, type Scheme, type SchemeName } from '../../fold';
import type { SketchMark } from '../../glossary';
import type { Size } from '../../paper';
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
  answer: (values, { write }) => {
    const { names, widths, found } = panelsOf(values, write);
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
  draw: (values, { write }) => {
    const { width, height } = values.size;
    const { widths } = panelsOf(values, write);
    const starts = widths.map((_, i) => widths.slice(0, i).reduce((sum, w) => sum + w, 0));
    return {
      width,
      height,
      marks: [
        { is: 'box', at: [0, 0, width, height], as: 'paper' },
        ...starts.slice(1).map((x): SketchMark => ({ is: 'line', at: [x, 0, x, height], as: 'fold' })),
        { is: 'box', at: [0, 0, width, height], as: 'trim' },
        ...widths.map((w, i): SketchMark => ({
          is: 'word',
          at: [(starts[i] ?? 0) + w * 0.3, height / 2],
          word: write(toThousandths(w)),
        })),
      ],
    };
  },
});

interface Folded {
  readonly size: Size;
  readonly fold: SchemeName;
  readonly panels: number;
  readonly allowance: Allowance | undefined;
}

/** The panels as the outside is read. @throws Impossible where the fold has not so many */
function panelsOf({ size: s, fold, panels: n, allowance: given }: Folded, write: (mm: number) => string) {
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
  return { names: scheme.outside(many), widths: [...found.widths].reverse(), found };
}
