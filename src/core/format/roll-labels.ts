import { shiftPath } from '../layout';
import { defineFormat } from './format';
import { cornerParameter, labelOutline, shapeParameter, throughParameter } from './label-shape';
import { Impossible, choice, count, length, size, solvedLength } from '../parameter';
import { shaped } from './sides';

/** Rows of labels that the web shows. */
const ROWS = 3;

export const rollLabels = defineFormat({
  kind: 'roll-labels',
  title: 'Labels on a roll',
  about: 'Labels on a web: number across, gaps, winding, length of the roll.',
  group: 'label',
  usual: { bleed: 1.5, safe: 2, why: 'labels lie close; 1.5 mm of bleed and 2 mm inside the die' },
  parameters: {
    size: size('Label', ['60 x 40 mm', '2.5 x 1.5 in'], 'Width across the web x height along it.'),
    across: count('Across the web', '1', 'Labels side by side.', 1, 20),
    gap: length('Gap', ['3 mm', '1/8 in'], 'Between labels, both ways.', { most: 50 }),
    web: solvedLength('Web width', 'Of the liner; left out, labels, gaps and two edges of 2 mm.'),
    'per-roll': count('Labels on a roll', '1000', 'How many are wound.', 1, 100_000),
    winding: choice('Winding', 'outside-head', 'Which edge comes off the roll first, and on which side the print is.', {
      'outside-head': 'outside, head first',
      'outside-foot': 'outside, foot first',
      'outside-right': 'outside, right edge first',
      'outside-left': 'outside, left edge first',
      'inside-head': 'inside, head first',
      'inside-foot': 'inside, foot first',
      'inside-right': 'inside, right edge first',
      'inside-left': 'inside, left edge first',
    }),
    shape: shapeParameter,
    radius: cornerParameter,
    cut: throughParameter,
  },
  plan: (d, { rules, write }) => {
    const body = d.across * d.size.width + (d.across - 1) * d.gap;
    const web = d.web ?? body + 4;
    if (web < body) throw new Impossible('web', `${d.across} across need a web of at least ${write(body)}.`);
    const edge = (web - body) / 2;
    const pitch = d.size.height + d.gap;
    const rows = Math.ceil(d['per-roll'] / d.across);
    const run = rows * pitch;
    // Area of the wound side view: π/4 × (D² − core²) = run × thickness; the core is 76 mm [cp].
    const core = 76;
    const layer = rules.thickness.value;
    const diameter = Math.sqrt(core * core + (4 * run * layer) / Math.PI);
    const own = labelOutline(d.shape, { x: 0, y: 0, ...d.size }, d.radius);
    const process = d.cut === 'kiss' ? 'kiss-cut' : 'cut';
    const places = Array.from({ length: ROWS * d.across }, (_, i) => ({
      x: edge + (i % d.across) * (d.size.width + d.gap),
      y: d.gap / 2 + Math.floor(i / d.across) * pitch,
    }));
    return {
      finished: d.size,
      flat: d.size,
      pressed: 'web',
      surfaces: [
        { name: 'label', size: d.size, outline: own, processLines: [shaped(process, own)] },
        {
          name: 'web',
          size: { width: web, height: ROWS * pitch },
          bleed: { top: 0, right: 0, bottom: 0, left: 0 },
          panels: places.map((p, i) => ({ name: `label ${i + 1}`, ...p, ...d.size })),
          processLines: places.map((p) => shaped(process, shiftPath(own, p.x, p.y))),
          repeats: { surface: 'label', at: places },
        },
      ],
      figures: [
        {
          id: 'web',
          group: 'panels',
          name: 'Web',
          value: web,
          unit: 'mm',
          working: [
            `${write(edge)} + ${d.across} × ${write(d.size.width)} + ${d.across - 1} × ${write(d.gap)} + ` +
              `${write(edge)} = ${write(web)}`,
          ],
          rule: 'Labels, gaps, and an edge at each side',
          measured: { kind: 'stops', axis: 'x', surface: 'web', stops: [0, edge, web - edge, web] },
        },
        {
          id: 'repeat',
          group: 'panels',
          name: 'Repeat',
          value: pitch,
          unit: 'mm',
          working: [`${write(d.size.height)} + ${write(d.gap)} = ${write(pitch)}`],
          rule: 'From a label’s head to the next one’s',
        },
        {
          id: 'run',
          group: 'panels',
          name: 'Length of a roll',
          value: run,
          unit: 'mm',
          working: [
            `${d['per-roll']} ÷ ${d.across} = ${rows} rows × ${write(pitch)} = ${(run / 1000).toFixed(2)} m`,
            `wound ${d.winding.replace('-', ', ')} first`,
          ],
          rule: 'Rows times repeat',
        },
        {
          id: 'roll',
          group: 'panels',
          name: 'Roll diameter',
          value: diameter,
          unit: 'mm',
          working: [`√(76² + 4 × ${(run / 1000).toFixed(2)} m × ${write(layer)} ÷ π) = ${diameter.toFixed(1)} mm`],
          rule: 'On a 76 mm core; liner and label as thick as the job’s stock (common practice)',
        },
      ],
    };
  },
});
