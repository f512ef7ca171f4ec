import { Colors, DxfWriter, LWPolylineFlags, Units, point2d, point3d } from '@tarikjabiri/dxf';
import type { ProcessLine } from '../../core/format';
import { flatten } from '../../core/layout';
import type { LineForm, Process } from '../../core/shop';

/** How each form is drawn: DXF line types by name, with dash and gap, mm. */
const LINE_TYPES: Readonly<Record<LineForm, { readonly name: string; readonly dashes: readonly number[] }>> = {
  solid: { name: 'Continuous', dashes: [] },
  dashed: { name: 'DASHED', dashes: [3, -1.5] },
  dotted: { name: 'DOTTED', dashes: [0.5, -1] },
  'dash-dot': { name: 'DASHDOT', dashes: [4, -1.2, 0.6, -1.2] },
  'long-dashed': { name: 'LONGDASH', dashes: [8, -2] },
};

/** AutoCAD colour indices, one for each process. */
const COLOUR: Readonly<Record<Process, number>> = {
  cut: Colors.Red,
  'kiss-cut': Colors.Magenta,
  fold: Colors.Blue,
  score: Colors.Cyan,
  perforation: Colors.Green,
  drill: Colors.Yellow,
  glue: Colors.White,
};

/**
 * The process lines of a surface as a DXF at true size, in millimetres, a layer for each process; the origin is the
 * trimmed bottom-left corner, y up.
 */
export function dxfOf(
  lines: readonly ProcessLine[],
  height: number,
  layer: (process: Process) => { readonly name: string; readonly form: LineForm },
): string {
  const writer = new DxfWriter();
  writer.setUnits(Units.Millimeters);
  for (const { name, dashes } of Object.values(LINE_TYPES)) {
    if (dashes.length > 0) writer.addLType(name, name.toLowerCase(), [...dashes]);
  }
  for (const process of new Set(lines.map((l) => l.process))) {
    const { name, form } = layer(process);
    writer.addLayer(name, COLOUR[process], LINE_TYPES[form].name);
  }
  for (const line of lines) {
    const layerName = layer(line.process).name;
    if (!line.path) {
      writer.addLine(point3d(line.from.x, height - line.from.y), point3d(line.to.x, height - line.to.y), { layerName });
      continue;
    }
    const isClosed = line.path.at(-1)?.[0] === 'Z';
    for (const part of flatten(line.path)) {
      const [first, last] = [part[0], part.at(-1)];
      const meets = first && last && Math.hypot(first.x - last.x, first.y - last.y) < 1e-6;
      const points = (isClosed && meets ? part.slice(0, -1) : part).map((p) => ({ point: point2d(p.x, height - p.y) }));
      writer.addLWPolyline(points, { layerName, flags: isClosed ? LWPolylineFlags.Closed : LWPolylineFlags.None });
    }
  }
  return writer.stringify();
}
