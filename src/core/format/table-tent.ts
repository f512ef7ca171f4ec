import { cornersOf } from '../layout';
import type { Panel, ProcessLine } from './blank';
import { defineFormat } from './format';
import { Impossible, length, size } from '../parameter';
import { zone } from './sides';

export const tableTent = defineFormat({
  kind: 'table-tent',
  title: 'Table tent',
  about: 'Stands on the table: two faces, a base, and a flap to glue.',
  group: 'die-cut',
  parameters: {
    size: size('Face', ['100 x 150 mm', '4 x 6 in'], 'Each face; width x height.'),
    base: length('Base', ['70 mm', '2.75 in'], 'How deep it stands.', { least: 10, most: 600 }),
    flap: length('Glue flap', ['15 mm', '5/8 in'], 'Glued inside the first face.', { least: 5, most: 60 }),
  },
  plan: (d, { write }) => {
    const { width, height } = d.size;
    if (d.base >= 2 * height)
      throw new Impossible('base', `The faces do not meet above so deep a base: less than ${write(2 * height)}.`);
    // Front upside down at the head, so that both faces are upright when it stands.
    const row = [
      { name: 'front', size: height, turned: true as const },
      { name: 'back', size: height },
      { name: 'base', size: d.base },
      { name: 'glue flap', size: d.flap },
    ];
    const stops = row.reduce<number[]>((out, p) => [...out, (out.at(-1) ?? 0) + p.size], [0]);
    const whole = stops.at(-1) ?? 0;
    const panels = row.map((p, i): Panel => ({
      name: p.name,
      x: 0,
      y: stops[i] ?? 0,
      width,
      height: p.size,
      ...(p.turned && { turned: true as const }),
    }));
    const creases = stops
      .slice(1, -1)
      .map((y): ProcessLine => ({ process: 'score', from: { x: 0, y }, to: { x: width, y }, direction: 'down' }));
    const foot = (Math.acos(d.base / 2 / height) * 180) / Math.PI;
    const turn = (i: number, angle: number) => ({
      name: `Fold the ${row[i]?.name ?? ''} back`,
      turns: [
        {
          facets: row.map((_, k) => k).filter((k) => k >= i),
          stays: i - 1,
          from: { x: 0, y: stops[i] ?? 0 },
          to: { x: width, y: stops[i] ?? 0 },
          angle: -angle,
        },
      ],
      layers: row.map(() => 0),
    });
    const flat = { width, height: whole };
    const glue = { x: 0, y: whole - d.flap, width, height: d.flap };
    return {
      finished: d.size,
      flat,
      surfaces: [
        {
          name: 'outside',
          size: flat,
          panels,
          processLines: creases,
          zones: [
            zone('no-ink', 'glue flap', glue, 'Glue does not hold on ink.'),
            zone('hidden', 'base', { x: 0, y: 2 * height, width, height: d.base }, 'It stands on this.'),
          ],
        },
      ],
      folding: {
        up: 'outside',
        down: undefined,
        parts: panels.map((p) => ({ name: p.name, outline: cornersOf(p) })),
        steps: [turn(3, 180 - foot), turn(2, 180 - foot), turn(1, 2 * foot)],
      },
      figures: [
        {
          id: 'panels-down',
          group: 'panels',
          name: 'Panels, down',
          value: row.map((p) => p.size),
          unit: 'mm',
          working: [row.map((p) => `${p.name} ${write(p.size)}`).join(' | ')],
          rule: 'From the head of the flat sheet',
          measured: { kind: 'stops', axis: 'y', stops },
        },
        {
          id: 'slope',
          group: 'panels',
          name: 'Slope of a face',
          value: Math.round(foot * 10) / 10,
          unit: 'count',
          working: [`arccos(${write(d.base)} ÷ 2 ÷ ${write(height)}) = ${foot.toFixed(1)}° from the table`],
          rule: 'Two equal sides over the base',
        },
      ],
    };
  },
});
