import type { Mm } from '../measure';
import { shiftPath } from '../layout';
import type { Panel, ProcessLine } from './blank';
import { defineFormat } from './format';
import { cornerParameter, labelOutline, shapeParameter, throughParameter } from './label-shape';
import { solveTrack, type Track } from './label-track';
import { size, solvedCount, solvedLength } from '../parameter';
import { shaped } from './sides';

export const labels = defineFormat({
  kind: 'labels',
  title: 'Labels on a sheet',
  about: 'Rows and columns of die-cut labels; give any measures that settle the rest.',
  group: 'label',
  usual: { bleed: 1.5, safe: 2, why: 'labels lie close; 1.5 mm of bleed and 2 mm inside the die' },
  parameters: {
    size: size('Label', ['63.5 x 38.1 mm', '2.625 x 1 in'], 'Width x height of one.'),
    sheet: size('Sheet', ['A4', 'letter'], 'Of labels.'),
    across: solvedCount('Across', 'Columns; left out, as many as fit.', 1, 100),
    down: solvedCount('Down', 'Rows; left out, as many as fit.', 1, 200),
    'pitch-across': solvedLength('Pitch across', 'From a label’s left edge to the next one’s.'),
    'pitch-down': solvedLength('Pitch down', 'From a label’s top edge to the next one’s.'),
    left: solvedLength('Left margin', 'From the sheet’s edge to the first label.'),
    top: solvedLength('Top margin', 'From the sheet’s head to the first label.'),
    shape: shapeParameter,
    radius: cornerParameter,
    cut: throughParameter,
  },
  plan: (d, { write }) => {
    const x = solveTrack(
      {
        sheet: d.sheet.width,
        label: d.size.width,
        count: d.across,
        pitch: d['pitch-across'],
        margin: d.left,
        names: { sheet: 'sheet', count: 'across', pitch: 'pitch-across', margin: 'left' },
      },
      write,
    );
    const y = solveTrack(
      {
        sheet: d.sheet.height,
        label: d.size.height,
        count: d.down,
        pitch: d['pitch-down'],
        margin: d.top,
        names: { sheet: 'sheet', count: 'down', pitch: 'pitch-down', margin: 'top' },
      },
      write,
    );
    const own = labelOutline(d.shape, { x: 0, y: 0, ...d.size }, d.radius);
    const process = d.cut === 'kiss' ? 'kiss-cut' : 'cut';
    const places = Array.from({ length: y.count }, (_, row) =>
      Array.from({ length: x.count }, (__, column) => ({
        x: x.margin + column * x.pitch,
        y: y.margin + row * y.pitch,
      })),
    ).flat();
    const panels: Panel[] = places.map((p, i) => ({ name: `label ${i + 1}`, ...p, ...d.size }));
    const lines: ProcessLine[] = places.map((p) => shaped(process, shiftPath(own, p.x, p.y)));
    const track = (id: string, name: string, axis: 'x' | 'y', t: Track, side: Mm, label: Mm) => ({
      id,
      group: 'panels' as const,
      name,
      value: [t.margin, t.pitch, t.end],
      unit: 'mm' as const,
      working: t.working,
      rule: 'Sheet = margin + (n − 1) × pitch + label + margin',
      measured: {
        kind: 'stops' as const,
        axis,
        surface: 'sheet',
        stops: [0, t.margin, t.margin + label, ...(t.count > 1 ? [t.margin + t.pitch] : []), side - t.end, side],
      },
    });
    return {
      finished: d.size,
      flat: d.size,
      pressed: 'sheet',
      surfaces: [
        { name: 'label', size: d.size, outline: own, processLines: [shaped(process, own)] },
        {
          name: 'sheet',
          size: d.sheet,
          panels,
          processLines: lines,
          bleed: { top: 0, right: 0, bottom: 0, left: 0 },
          repeats: { surface: 'label', at: places },
        },
      ],
      figures: [
        {
          id: 'per-sheet',
          group: 'panels',
          name: 'Labels on a sheet',
          value: x.count * y.count,
          unit: 'count',
          working: [`${x.count} across × ${y.count} down = ${x.count * y.count}`],
          rule: 'Rows times columns',
        },
        track('across', 'Left, pitch, right', 'x', x, d.sheet.width, d.size.width),
        track('down', 'Top, pitch, foot', 'y', y, d.sheet.height, d.size.height),
      ],
    };
  },
});
