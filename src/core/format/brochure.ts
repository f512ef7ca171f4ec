import { SCHEMES, crossFolds, type Scheme } from '../fold';
import { defineFormat } from './format';
import { creaseParameter, foldedSheet, roomFor } from './folded-sheet';
import { Impossible, choice, size, solvedCount } from '../parameter';
import { allowance } from './allowance';

const hasCount = (v: Readonly<Record<string, unknown>>) => v['fold'] === 'accordion' || v['fold'] === 'roll';

export const brochure = defineFormat({
  kind: 'brochure',
  title: 'Brochure',
  about: 'One sheet, folded: half, letter, Z, accordion, gate, roll, cross.',
  group: 'folded',
  parameters: {
    size: size('Flat size', ['A4 landscape', 'letter landscape'], 'Opened out; width x height, or a paper name.'),
    fold: choice('Fold', 'letter', 'How it is folded.', {
      half: 'half',
      letter: 'letter',
      z: 'Z',
      accordion: 'accordion',
      gate: 'gate',
      'double-gate': 'double gate',
      roll: 'roll',
      'double-parallel': 'double parallel',
      cross: 'cross (French)',
    }),
    panels: solvedCount('Panels', 'Of an accordion or a roll.', 3, 12, { when: hasCount }),
    allowance: allowance('Allowance', 'How panels differ: even, shift:1mm, thickness:0.12mm; left out, by the paper.', {
      when: (v) => v['fold'] !== 'half' && v['fold'] !== 'cross',
    }),
    crease: creaseParameter,
  },
  plan: (d, context) => {
    const { width, height } = d.size;
    if (d.fold === 'cross') {
      return foldedSheet(
        {
          flat: d.size,
          columns: [width / 2, width / 2],
          rows: [height / 2, height / 2],
          folds: crossFolds(),
          working: [`${context.write(width)} ÷ 2 and ${context.write(height)} ÷ 2`],
          rule: 'Halved each way',
          crease: d.crease,
          parameter: 'size',
        },
        context,
      );
    }
    const scheme: Scheme = SCHEMES[d.fold];
    const { least, most } = scheme.panels;
    const n = least === most ? least : (d.panels ?? (d.fold === 'roll' ? 4 : 5));
    if (n < least || n > most) throw new Impossible('panels', `A ${scheme.title} has from ${least} to ${most} panels.`);
    const room = roomFor(d.allowance, context);
    const { widths, working, rule } = scheme.widths(width, n, room, context.write);
    return foldedSheet(
      {
        flat: d.size,
        columns: widths,
        rows: [height],
        folds: scheme.folds(n),
        names: { outside: scheme.outside(n), inside: scheme.inside(n) },
        tucked: scheme.tucked(n),
        working,
        rule,
        crease: d.crease,
        parameter: d.allowance ? 'allowance' : 'size',
        problems: d.fold === 'gate' ? meeting(widths) : [],
      },
      context,
    );
  },
});

/** Two leaves of a gate that touch push each other up. */
function meeting([left = 0, centre = 0, right = 0]: readonly number[]) {
  const gap = centre - left - right;
  return gap < 1
    ? [
        {
          severity: gap < 0 ? ('fault' as const) : ('warning' as const),
          parameter: 'allowance',
          message:
            `The leaves of the gate ${gap < 0 ? 'overlap' : 'meet'} in the middle: each should stop 1 to 2 mm ` +
            'short (common practice).',
        },
      ]
    : [];
}
