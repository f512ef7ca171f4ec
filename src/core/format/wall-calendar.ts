import { defineFormat, type SurfacePlan } from './format';
import { Impossible, choice, count, length, size } from '../parameter';
import { hole, shaped, zone } from './sides';
import { mapPath, rectPath, type Rect } from '../layout';
import type { ProcessLine, Zone } from './blank';
import type { Mm } from '../measure';

export const wallCalendar = defineFormat({
  kind: 'wall-calendar',
  title: 'Wall calendar',
  about: 'Wire-bound: a picture page above and a grid page below, mirrored about the binding.',
  group: 'bound',
  usual: { distance: 600, why: 'a calendar is read from the desk' },
  parameters: {
    size: size('Page size', ['A4 landscape', 'letter landscape'], 'Each page; width x height.'),
    months: count('Months', '12', 'Pairs of pages.', 1, 24),
    pages: choice('Pages', 'pairs', 'A picture page and a grid page for each month, or one page for both.', {
      pairs: 'picture and grid',
      single: 'one page a month',
    }),
    binding: length('Binding zone', ['15 mm', '5/8 in'], 'For the wire, at the edge between the pages.', {
      least: 6,
      most: 60,
    }),
    hanging: length('Hanging zone', ['15 mm', '5/8 in'], 'For the hanging hole, at the far edge of the grid page.', {
      most: 60,
    }),
    head: length('Head of the grid', ['42 mm', '1.65 in'], 'From the bound edge to the grid: month and year.', {
      most: 400,
    }),
    pitch: length('Wire pitch', ['8.467 mm', '1/3 in'], 'From hole to hole.', { least: 4, most: 30 }),
  },
  plan: (d, { write }) => {
    const { width, height } = d.size;
    const wire = headWire(width, d.binding, d.pitch);
    const pairs = d.pages === 'pairs';
    const foot = pairs ? d.hanging : 0;
    const head = Math.max(d.head, d.binding);
    if (head + foot >= height)
      throw new Impossible('head', `No room is left for the grid: at most ${write(height - foot - 1)} of head.`);
    const grid: Rect = { x: 0, y: head, width, height: height - head - foot };
    const hanging = d.hanging > 0 && pairs ? [hole(width / 2, height - d.hanging / 2, 6)] : [];
    const hangingZone =
      d.hanging > 0 && pairs
        ? [
            zone(
              'keep-clear',
              'hanging hole',
              { x: width / 2 - d.hanging / 2, y: height - d.hanging, width: d.hanging, height: d.hanging },
              'The nail goes through here.',
            ),
          ]
        : [];
    const gridPage = (name: string): SurfacePlan => ({
      name,
      size: d.size,
      panels: [
        { name: 'title', x: 0, y: d.binding, width, height: head - d.binding },
        { name: 'grid', ...grid },
      ],
      processLines: [...wire.lines, ...hanging],
      zones: [...wire.zones, ...hangingZone],
    });
    // The page above is bound at its foot, and hangs by its head where pages are pairs.
    const picturePage = (name: string): SurfacePlan => ({
      name,
      size: d.size,
      processLines: [...wire.lines, ...hanging].map((l) => upsideDown(l, height)),
      zones: wire.zones.map((z) => ({
        ...z,
        outline: rectPath({ x: 0, y: height - d.binding, width, height: d.binding }),
      })),
    });
    const months = Array.from({ length: d.months }, (_, i) => i + 1);
    return {
      finished: pairs ? { width, height: 2 * height } : d.size,
      flat: d.size,
      surfaces: [
        { ...gridPage('cover'), panels: [{ name: 'cover', x: 0, y: 0, width, height }] },
        ...months.flatMap((m) =>
          pairs ? [picturePage(`month ${m} picture`), gridPage(`month ${m} grid`)] : [gridPage(`month ${m}`)],
        ),
      ],
      figures: [
        {
          id: 'grid-box',
          group: 'panels',
          name: 'Room for the grid',
          value: [grid.width, grid.height],
          unit: 'mm',
          working: [
            `${write(height)} − ${write(head)} − ${write(foot)} = ${write(grid.height)}`,
            `six week rows and a weekday row: ${write(grid.height / 6.5)} and half of it`,
          ],
          rule: 'Between the head and the hanging zone',
          measured: {
            kind: 'stops',
            axis: 'y',
            stops: [0, d.binding, head, height - foot, height],
            surface: pairs ? 'month 1 grid' : 'month 1',
          },
        },
        {
          id: 'holes',
          group: 'panels',
          name: 'Wire holes',
          value: wire.lines.length,
          unit: 'count',
          working: [`at ${write(d.pitch)}, centred on ${write(width)}`],
          rule: 'The wire’s pitch',
        },
      ],
    };
  },
});

/** Square holes at the head for a wire. */
function headWire(width: Mm, depth: Mm, pitch: Mm): { lines: readonly ProcessLine[]; zones: readonly Zone[] } {
  const n = Math.max(2, Math.floor((width - pitch) / pitch) + 1);
  const first = (width - (n - 1) * pitch) / 2;
  const side = Math.min(4, pitch * 0.47);
  const lines = Array.from({ length: n }, (_, i) =>
    shaped(
      'drill',
      rectPath({ x: first + i * pitch - side / 2, y: depth * 0.3 - side / 2, width: side, height: side }),
    ),
  );
  return {
    lines,
    zones: [zone('keep-clear', 'wire binding', { x: 0, y: 0, width, height: depth }, 'The wire takes this rim.')],
  };
}

const upsideDown = (line: ProcessLine, height: Mm): ProcessLine => ({
  ...line,
  from: { ...line.from, y: height - line.from.y },
  to: { ...line.to, y: height - line.to.y },
  ...(line.path && { path: mapPath(line.path, [1, 0, 0, -1, 0, height]) }),
});
