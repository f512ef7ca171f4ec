import { choice, count } from '../parameter';
import type { Mm } from '../measure';
import { lineStyles, styleOf } from './line-styles';
import { level, upright, words, type LineStyle, type Mark } from './mark';
import { definePrintable } from './printable';

/** Where lines stand along a scale, as shares of its length: decades by their logarithms, or equal tenths. */
function shares(
  scale: 'log' | 'even',
  decades: number,
): readonly { readonly at: number; readonly isMain: boolean; readonly label: string }[] {
  const out = Array.from({ length: decades }, (_, d) =>
    Array.from({ length: 9 }, (_, i) => ({
      at: (d + (scale === 'log' ? Math.log10(i + 1) : i / 9)) / decades,
      isMain: i === 0,
      label: i === 0 ? '1' : String(i + 1),
    })),
  ).flat();
  return [...out, { at: 1, isMain: true, label: '1' }];
}

/** Graph paper with decades along one axis or both. */
export const logarithmic = definePrintable({
  kind: 'log',
  group: 'grids',
  presets: [
    { id: 'log-log', title: 'Logarithmic', about: 'Decades along both axes.', decisions: {} },
    {
      id: 'semi-log',
      title: 'Half logarithmic',
      about: 'Decades upward, equal steps across.',
      decisions: { across: 'even' },
    },
  ],
  parameters: {
    across: choice('Across', 'log', 'Decades, or equal steps.', { log: 'decades', even: 'equal steps' }),
    decades: count('Decades across', '2', 'Or groups of equal steps.', 1, 12),
    'decades-up': count('Decades up', '3', 'Along the height.', 1, 12),
    style: lineStyles('Lines', 'solid 0.25pt pale', 'Dash, weight, colour.'),
    main: lineStyles('Whole decades', 'solid 0.7pt pale', 'Dash, weight, colour.'),
  },
  solve: (d, box, { write }) => {
    const rim = Math.min(6, box.width / 12, box.height / 12);
    const [width, height] = [box.width - rim, box.height - rim];
    const [fine, main] = [styleOf(d.style), styleOf(d.main)];
    const styled = (isMain: boolean): LineStyle => (isMain ? main : fine);
    const size = rim * 0.42;
    const up = shares('log', d['decades-up']);
    const along = shares(d.across, d.decades);
    const decade = (room: Mm, n: number) => write(room / n);
    const marks = [
      ...up.map(({ at, isMain }) => level(height * (1 - at), rim, box.width, styled(isMain))),
      ...along.map(({ at, isMain }) => upright(rim + width * at, 0, height, styled(isMain))),
      ...up.map(({ at, label }): Mark =>
        words(
          label,
          { x: rim * 0.7, y: Math.min(height, Math.max(size * 0.7, height * (1 - at) + size * 0.33)) },
          size,
          { align: 'right', role: 'pale' },
        ),
      ),
      ...(d.across === 'log'
        ? along.map(({ at, label }): Mark =>
            words(label, { x: Math.min(box.width - size * 0.3, rim + width * at), y: height + rim * 0.75 }, size, {
              align: 'centre',
              role: 'pale',
            }),
          )
        : []),
    ];
    return {
      marks: [
        ...marks.filter((m) => m.kind === 'line' && m.style === fine),
        ...marks.filter((m) => m.kind !== 'line' || m.style !== fine),
      ],
      findings: [
        {
          id: 'decade',
          name: 'A decade upward',
          value: height / d['decades-up'],
          unit: 'mm',
          working: [
            `${write(height)} ÷ ${d['decades-up']} = ${decade(height, d['decades-up'])}`,
            'the line of n stands at log₁₀ n of it',
          ],
          rule: 'y = decade × log₁₀ n',
        },
        {
          id: 'across',
          name: d.across === 'log' ? 'A decade across' : 'A group across',
          value: width / d.decades,
          unit: 'mm',
          working: [`${write(width)} ÷ ${d.decades} = ${decade(width, d.decades)}`],
          rule: d.across === 'log' ? 'x = decade × log₁₀ n' : 'Nine equal steps to a group',
        },
      ],
    };
  },
});
