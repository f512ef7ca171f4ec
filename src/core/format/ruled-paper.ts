import { defineFormat } from './format';
import { drilledParameter, filingHoles, holesParameter } from './filing-holes';
import { Impossible, length, size } from '../parameter';
import { frontAndBack, sides } from './sides';

export const ruledPaper = defineFormat({
  kind: 'ruled-paper',
  title: 'Ruled or graph paper',
  about: 'A sheet with room for lines, squares or dots at a spacing.',
  group: 'flat',
  parameters: {
    size: size('Finished size', ['A4', 'letter'], 'Width x height, or a paper name.'),
    sides: sides('2'),
    spacing: length('Spacing', ['7.1 mm', '9/32 in'], 'From line to line.', { least: 0.5, most: 100 }),
    head: length('Head', ['20 mm', '1 in'], 'Left free above the first line.'),
    margin: length('Margin line', ['32 mm', '1.25 in'], 'From the left edge; 0 for none.'),
    holes: holesParameter,
    'holes-made': drilledParameter,
  },
  plan: (d, { write }) => {
    const { width, height } = d.size;
    if (d.head >= height)
      throw new Impossible('head', `The head is at most ${write(height)}, the height of the sheet.`);
    if (d.margin >= width)
      throw new Impossible('margin', `The margin line is at most ${write(width)} from the left edge.`);
    const room = height - d.head;
    const lines = Math.floor(room / d.spacing + 1e-9);
    const filing = filingHoles(d.holes, d['holes-made'], height);
    const area = { x: d.margin, y: d.head, width: width - d.margin, height: room };
    const panels = [
      ...(d.head > 0 ? [{ name: 'head', x: 0, y: 0, width, height: d.head }] : []),
      ...(d.margin > 0 ? [{ name: 'margin', x: 0, y: d.head, width: d.margin, height: room }] : []),
      { name: 'writing area', ...area },
    ];
    return {
      finished: d.size,
      surfaces: frontAndBack(d.size, d.sides, { panels, ...filing }),
      figures: [
        {
          id: 'lines',
          group: 'panels',
          name: 'Lines',
          value: lines,
          unit: 'count',
          working: [
            `(${write(height)} − ${write(d.head)}) ÷ ${write(d.spacing)} = ${(room / d.spacing).toFixed(2)}`,
            `${lines} lines, ${write(room - lines * d.spacing)} left over`,
          ],
          rule: 'As many as fit below the head',
          measured: { kind: 'stops', axis: 'y', stops: [0, d.head, height] },
        },
      ],
    };
  },
});
