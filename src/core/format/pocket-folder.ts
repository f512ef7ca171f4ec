import { polygonPath } from '../layout';
import type { Point } from '../layout';
import type { Panel, ProcessLine } from './blank';
import { defineFormat } from './format';
import { Impossible, choice, length, size } from '../parameter';
import { shaped, zone } from './sides';

export const pocketFolder = defineFormat({
  kind: 'pocket-folder',
  title: 'Pocket folder',
  about: 'Holds loose sheets: two pockets folded up and glued, slits for a business card.',
  group: 'die-cut',
  parameters: {
    size: size('Closed size', ['220 x 310 mm', '9 x 12 in'], 'Width x height; a little more than the sheets it holds.'),
    spine: length('Spine', '0 mm', 'For many sheets; 0 for a plain fold.', { most: 60 }),
    pocket: length('Pocket', ['100 mm', '4 in'], 'Its height.', { least: 20, most: 400 }),
    flap: length('Glue flap', ['15 mm', '5/8 in'], 'At the outer end of each pocket.', { least: 5, most: 60 }),
    slits: choice('Card slits', 'right', 'For a business card, in a pocket.', {
      none: 'none',
      right: 'right pocket',
      both: 'both pockets',
    }),
    card: size('Card', ['85 x 55 mm', '3.5 x 2 in'], 'What the slits hold.', { when: (v) => v['slits'] !== 'none' }),
  },
  plan: (d, { write }) => {
    const { width, height } = d.size;
    if (d.pocket >= height)
      throw new Impossible('pocket', `A pocket is lower than the folder: less than ${write(height)}.`);
    if (d.slits !== 'none' && (d.card.width > width - 20 || d.card.height > d.pocket - 10))
      throw new Impossible(
        'card',
        `The card needs 10 mm around it in a pocket of ${write(width)} × ${write(d.pocket)}.`,
      );
    const f = d.flap;
    const [x1, x2] = [f + width, f + width + d.spine];
    const whole = { width: 2 * width + d.spine + 2 * f, height: height + d.pocket };
    const bite = 3;
    // Outside up: back at the left, front at the right; pockets hang below and fold up behind.
    const outline = polygonPath([
      { x: f, y: 0 },
      { x: whole.width - f, y: 0 },
      { x: whole.width - f, y: height },
      { x: whole.width, y: height + bite },
      { x: whole.width, y: whole.height - bite },
      { x: whole.width - f, y: whole.height },
      { x: x2 + bite, y: whole.height },
      { x: x2, y: height },
      { x: x1, y: height },
      { x: x1 - bite, y: whole.height },
      { x: f, y: whole.height },
      { x: 0, y: whole.height - bite },
      { x: 0, y: height + bite },
      { x: f, y: height },
    ]);
    const line = (
      process: ProcessLine['process'],
      ax: number,
      ay: number,
      bx: number,
      by: number,
      direction?: 'down',
    ): ProcessLine => ({ process, from: { x: ax, y: ay }, to: { x: bx, y: by }, ...(direction && { direction }) });
    const spine = d.spine > 0 ? [x1, x2] : [x1];
    const creases = [
      ...spine.map((x) => line('score', x, 0, x, height, 'down')),
      line('score', f, height, x1, height, 'down'),
      line('score', x2, height, whole.width - f, height, 'down'),
      line('score', f, height, f, whole.height, 'down'),
      line('score', whole.width - f, height, whole.width - f, whole.height, 'down'),
    ];
    // On the flat sheet pockets are upside down, so a card’s head points to the foot.
    const slitsIn = (x: number) =>
      cardSlits({ x: x + width / 2, y: height + d.pocket / 2 }, d.card.width, d.card.height);
    // Opened, one looks at the inside: the pocket of the back lies at the right.
    const slits = d.slits === 'none' ? [] : [...slitsIn(f), ...(d.slits === 'both' ? slitsIn(x2) : [])];
    const panels: Panel[] = [
      { name: 'back', x: f, y: 0, width, height },
      ...(d.spine > 0 ? [{ name: 'spine', x: x1, y: 0, width: d.spine, height }] : []),
      { name: 'front', x: x2, y: 0, width, height },
      { name: 'right pocket', x: f, y: height, width, height: d.pocket, turned: true },
      { name: 'left pocket', x: x2, y: height, width, height: d.pocket, turned: true },
    ];
    const glue = [
      { name: 'right glue flap', x: 0, y: height, width: f, height: d.pocket },
      { name: 'left glue flap', x: whole.width - f, y: height, width: f, height: d.pocket },
    ];
    const parts = [...panels, ...glue].map((p) => ({ name: p.name, outline: rectPoints(p) }));
    const at = (name: string) => parts.findIndex((p) => p.name === name);
    const [back, front, right, left, rightFlap, leftFlap] = [
      at('back'),
      at('front'),
      at('right pocket'),
      at('left pocket'),
      at('right glue flap'),
      at('left glue flap'),
    ];
    const turn = (facets: readonly number[], stays: number, a: Point, b: Point, angle: number) => ({
      facets,
      stays,
      from: a,
      to: b,
      angle,
    });
    const middle = d.spine > 0 ? at('spine') : front;
    const layers = (pockets: number) =>
      parts.map((_, i) =>
        i === right || i === left ? -pockets : i === rightFlap || i === leftFlap ? -pockets / 2 : 0,
      );
    return {
      finished: d.size,
      flat: whole,
      surfaces: [
        {
          name: 'outside',
          size: whole,
          outline,
          panels,
          processLines: [shaped('cut', outline), ...creases, ...slits],
          zones: glue.map((g) => zone('no-ink', g.name, g, 'Glue does not hold on ink.')),
        },
      ],
      folding: {
        up: 'outside',
        down: undefined,
        parts,
        steps: [
          {
            name: 'Fold the glue flaps back',
            layers: layers(0),
            turns: [
              turn([rightFlap], right, { x: f, y: height }, { x: f, y: whole.height }, -180),
              turn([leftFlap], left, { x: whole.width - f, y: height }, { x: whole.width - f, y: whole.height }, -180),
            ],
          },
          {
            name: 'Fold the pockets up behind',
            layers: layers(1),
            turns: [
              turn([right, rightFlap], back, { x: f, y: height }, { x: x1, y: height }, -180),
              turn([left, leftFlap], front, { x: x2, y: height }, { x: whole.width - f, y: height }, -180),
            ],
          },
          ...(d.spine > 0
            ? [
                {
                  name: 'Fold the back',
                  layers: layers(1),
                  turns: [turn([back, right, rightFlap], middle, { x: x1, y: 0 }, { x: x1, y: height }, -90)],
                },
                {
                  name: 'Fold the front',
                  layers: layers(1),
                  turns: [turn([front, left, leftFlap], middle, { x: x2, y: 0 }, { x: x2, y: height }, -90)],
                },
              ]
            : [
                {
                  name: 'Close it',
                  layers: layers(1),
                  turns: [turn([back, right, rightFlap], front, { x: x1, y: 0 }, { x: x1, y: height }, -180)],
                },
              ]),
        ],
      },
      figures: [
        {
          id: 'panels-across',
          group: 'panels',
          name: 'Across, outside',
          value: [width, d.spine, width],
          unit: 'mm',
          working: [
            `flap ${write(f)} | back ${write(width)} | spine ${write(d.spine)} | front ${write(width)} | ` +
              `flap ${write(f)}`,
          ],
          rule: 'Read from the outside',
          measured: {
            kind: 'stops',
            axis: 'x',
            stops: [0, f, x1, ...(d.spine > 0 ? [x2] : []), whole.width - f, whole.width],
          },
        },
        {
          id: 'panels-down',
          group: 'panels',
          name: 'Down',
          value: [height, d.pocket],
          unit: 'mm',
          working: [`folder ${write(height)} | pocket ${write(d.pocket)}`],
          rule: 'The pocket folds up behind',
          measured: { kind: 'stops', axis: 'y', stops: [0, height, whole.height] },
        },
      ],
    };
  },
});

const rectPoints = ({ x, y, width: w, height: h }: Omit<Panel, 'name'>): readonly Point[] => [
  { x, y },
  { x: x + w, y },
  { x: x + w, y: y + h },
  { x, y: y + h },
];

/** Four slanting slits that hold the corners of a card. */
function cardSlits(middle: Point, width: number, height: number): readonly ProcessLine[] {
  const corner = Math.min(width, height) * 0.3;
  return [-1, 1].flatMap((sx) =>
    [-1, 1].map((sy): ProcessLine => ({
      process: 'cut',
      from: { x: middle.x + (sx * width) / 2, y: middle.y + sy * (height / 2 - corner) },
      to: { x: middle.x + sx * (width / 2 - corner), y: middle.y + (sy * height) / 2 },
    })),
  );
}
