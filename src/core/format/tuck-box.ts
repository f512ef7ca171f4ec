import { polygonPath, type Point } from '../layout';
import type { Panel, ProcessLine } from './blank';
import { defineFormat } from './format';
import { Impossible, length } from '../parameter';
import { shaped } from './sides';

export const tuckBox = defineFormat({
  kind: 'tuck-box',
  title: 'Tuck-end box',
  about: 'A folding box: four walls, lids that tuck in at head and foot, dust flaps, a glue flap.',
  group: 'die-cut',
  parameters: {
    width: length('Width', ['60 mm', '2.5 in'], 'Of the front.', { least: 10, most: 1000 }),
    height: length('Height', ['90 mm', '3.5 in'], 'Of the walls.', { least: 10, most: 2000 }),
    depth: length('Depth', ['25 mm', '1 in'], 'Of the sides.', { least: 5, most: 1000 }),
    tuck: length('Tuck', ['15 mm', '5/8 in'], 'What slips in at the lid.', { least: 5, most: 100 }),
    flap: length('Glue flap', ['14 mm', '9/16 in'], 'Glued behind the right side.', { least: 6, most: 60 }),
  },
  plan: (d, { write }) => {
    const { width: w, height: h, depth: p, tuck: t, flap: g } = d;
    if (g >= w) throw new Impossible('flap', `The glue flap is narrower than the front: less than ${write(w)}.`);
    const dust = Math.min(p * 0.9, w / 2 - 1);
    const [y0, y1] = [p + t, p + t + h];
    const [xb, xl, xf, xr, end] = [g, g + w, g + w + p, g + 2 * w + p, g + 2 * w + 2 * p];
    const total = { width: end, height: h + 2 * (p + t) };
    const nick = Math.min(2, p / 6);
    const lid = (y: number, s: 1 | -1): readonly Point[] => [
      { x: xb, y },
      { x: xb + 0.5, y: y + s * p },
      { x: xb + t * 0.4, y: y + s * (p + t) },
      { x: xl - t * 0.4, y: y + s * (p + t) },
      { x: xl - 0.5, y: y + s * p },
      { x: xl, y },
    ];
    const dusts = (x: number, y: number, s: 1 | -1): readonly Point[] => [
      { x, y },
      { x: x + nick, y: y + s * dust },
      { x: x + p - 2 * nick, y: y + s * dust },
      { x: x + p, y: y + s * dust * 0.4 },
      { x: x + p, y },
    ];
    const glueFlap: readonly Point[] = [
      { x: xb, y: y1 },
      { x: 0, y: y1 - g * 0.5 },
      { x: 0, y: y0 + g * 0.5 },
      { x: xb, y: y0 },
    ];
    const outline = polygonPath(
      distinct([
        ...lid(y0, -1),
        ...dusts(xl, y0, -1),
        { x: xr, y: y0 },
        ...dusts(xr, y0, -1),
        ...[...dusts(xr, y1, 1)].reverse(),
        { x: xf, y: y1 },
        ...[...dusts(xl, y1, 1)].reverse(),
        ...[...lid(y1, 1)].reverse(),
        ...glueFlap.slice(1),
      ]),
    );
    const crease = (ax: number, ay: number, bx: number, by: number): ProcessLine => ({
      process: 'score',
      from: { x: ax, y: ay },
      to: { x: bx, y: by },
      direction: 'down',
    });
    const creases = [
      ...[xb, xl, xf, xr].map((x) => crease(x, y0, x, y1)),
      ...[xb, xl, xr].flatMap((x) => [
        crease(x, y0, x + (x === xb ? w : p), y0),
        crease(x, y1, x + (x === xb ? w : p), y1),
      ]),
      crease(xb + 0.5, t, xl - 0.5, t),
      crease(xb + 0.5, y1 + p, xl - 0.5, y1 + p),
    ];
    const panel = (name: string, x: number, y: number, width: number, height: number, turned?: true): Panel => ({
      name,
      x,
      y,
      width,
      height,
      ...(turned && { turned }),
    });
    const panels = [
      panel('back', xb, y0, w, h),
      panel('left side', xl, y0, p, h),
      panel('front', xf, y0, w, h),
      panel('right side', xr, y0, p, h),
      panel('lid', xb, t, w, p, true),
      panel('foot lid', xb, y1, w, p),
    ];
    const parts = [
      { name: 'back', outline: box(xb, y0, w, h) },
      { name: 'left side', outline: box(xl, y0, p, h) },
      { name: 'front', outline: box(xf, y0, w, h) },
      { name: 'right side', outline: box(xr, y0, p, h) },
      { name: 'glue flap', outline: glueFlap },
      { name: 'lid', outline: box(xb, t, w, p) },
      { name: 'lid tuck', outline: lid(y0, -1).slice(1, 5) },
      { name: 'foot lid', outline: box(xb, y1, w, p) },
      { name: 'foot tuck', outline: lid(y1, 1).slice(1, 5) },
      { name: 'left dust flap', outline: dusts(xl, y0, -1) },
      { name: 'right dust flap', outline: dusts(xr, y0, -1) },
      { name: 'left foot flap', outline: dusts(xl, y1, 1) },
      { name: 'right foot flap', outline: dusts(xr, y1, 1) },
    ];
    const turn = (
      facets: readonly number[],
      stays: number,
      a: readonly [number, number],
      b: readonly [number, number],
    ) => ({ facets, stays, from: { x: a[0], y: a[1] }, to: { x: b[0], y: b[1] }, angle: -90 });
    const step = (name: string, ...turns: readonly ReturnType<typeof turn>[]) => ({
      name,
      turns,
      layers: parts.map(() => 0),
    });
    return {
      finished: { width: w, height: h },
      flat: total,
      surfaces: [
        {
          name: 'outside',
          size: total,
          outline,
          panels,
          processLines: [shaped('cut', outline), ...creases],
          zones: [
            { name: 'glue flap', kind: 'no-ink', outline: polygonPath(glueFlap), why: 'Glue does not hold on ink.' },
          ],
        },
      ],
      folding: {
        up: 'outside',
        down: undefined,
        parts,
        steps: [
          step('Fold the right side back', turn([3, 10, 12], 2, [xr, y0], [xr, y1])),
          step('Fold the left side back', turn([0, 1, 4, 5, 6, 7, 8, 9, 11], 2, [xf, y0], [xf, y1])),
          step('Fold the back in', turn([0, 4, 5, 6, 7, 8], 1, [xl, y0], [xl, y1])),
          step('Glue the flap behind the right side', turn([4], 0, [xb, y0], [xb, y1])),
          step(
            'Fold the dust flaps in',
            turn([9], 1, [xl, y0], [xf, y0]),
            turn([10], 3, [xr, y0], [end, y0]),
            turn([11], 1, [xl, y1], [xf, y1]),
            turn([12], 3, [xr, y1], [end, y1]),
          ),
          step('Bend the tucks', turn([6], 5, [xb, t], [xl, t]), turn([8], 7, [xb, y1 + p], [xl, y1 + p])),
          step('Close head and foot', turn([5, 6], 0, [xb, y0], [xl, y0]), turn([7, 8], 0, [xb, y1], [xl, y1])),
        ],
      },
      figures: [
        {
          id: 'panels-across',
          group: 'panels',
          name: 'Across, outside',
          value: [g, w, p, w, p],
          unit: 'mm',
          working: [
            `glue flap ${write(g)} | back ${write(w)} | left side ${write(p)} | front ${write(w)} | right ` +
              `side ${write(p)}`,
          ],
          rule: 'Read from the outside',
          measured: { kind: 'stops', axis: 'x', stops: [0, xb, xl, xf, xr, end] },
        },
        {
          id: 'panels-down',
          group: 'panels',
          name: 'Down',
          value: [t, p, h, p, t],
          unit: 'mm',
          working: [`tuck ${write(t)} | lid ${write(p)} | wall ${write(h)} | lid ${write(p)} | tuck ${write(t)}`],
          rule: 'Lids as deep as the sides',
          measured: { kind: 'stops', axis: 'y', stops: [0, t, y0, y1, y1 + p, total.height] },
        },
      ],
    };
  },
});

const box = (x: number, y: number, w: number, h: number): readonly Point[] => [
  { x, y },
  { x: x + w, y },
  { x: x + w, y: y + h },
  { x, y: y + h },
];

/** Points without repeats in a row. */
const distinct = (points: readonly Point[]): readonly Point[] =>
  points.filter((p, i) => {
    const before = points[(i + points.length - 1) % points.length];
    return !before || Math.hypot(p.x - before.x, p.y - before.y) > 1e-9;
  });
