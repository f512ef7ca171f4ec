import { cornersOf, polygonPath, type Point, type Rect } from '../layout';
import type { Mm } from '../measure';
import { Impossible, length } from '../parameter';
import type { ProcessLine } from './blank';
import { defineFormat } from './format';
import { netSteps, type NetPart, type NetStep, type NetTurn } from './net';
import { level, shaped, upright } from './sides';

/** How far a lid is narrower than its wall at each side, so that it goes in, mm [cp]. */
const LID_PLAY = 0.5;
/** How much a tuck tapers at each side, as a part of its depth [cp]. */
const TUCK_TAPER = 0.4;
/** How far a dust flap reaches, as a part of the depth of the box [cp]. */
const DUST_REACH = 0.9;
/** How far the outer corner of a dust flap is cut away, as a part of its reach [cp]. */
const DUST_SLOPE = 0.4;

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
  plan: (box, { write }) => {
    const { width, height, depth, tuck, flap } = box;
    if (flap >= width)
      throw new Impossible('flap', `The glue flap is narrower than the front: less than ${write(width)}.`);
    const net = netOf(box);
    const parts = partsOf(net);
    const outline = polygonPath(outlineOf(net));
    const size = { width: net.end, height: net.bottom };
    return {
      finished: { width, height },
      flat: size,
      surfaces: [
        {
          name: 'outside',
          size,
          outline,
          panels: PRINTED.map((name) => ({
            name,
            ...wallsOf(net)[name],
            // On the flat sheet the lid at the head is upside down.
            ...(name === 'lid' && { turned: true }),
          })),
          processLines: [shaped('cut', outline), ...creasesOf(net)],
          zones: [
            {
              name: 'glue flap',
              kind: 'no-ink',
              outline: polygonPath(glueFlap(net)),
              why: 'Glue does not hold on ink.',
            },
          ],
        },
      ],
      folding: { up: 'outside', down: undefined, parts, steps: netSteps(parts, stepsOf(net)) },
      figures: [
        {
          id: 'panels-across',
          group: 'panels',
          name: 'Across, outside',
          value: [flap, width, depth, width, depth],
          unit: 'mm',
          working: [
            `glue flap ${write(flap)} | back ${write(width)} | left side ${write(depth)} | front ${write(width)} | ` +
              `right side ${write(depth)}`,
          ],
          rule: 'Read from the outside',
          measured: { kind: 'stops', axis: 'x', stops: [0, net.back, net.left, net.front, net.right, net.end] },
        },
        {
          id: 'panels-down',
          group: 'panels',
          name: 'Down',
          value: [tuck, depth, height, depth, tuck],
          unit: 'mm',
          working: [
            `tuck ${write(tuck)} | lid ${write(depth)} | wall ${write(height)} | lid ${write(depth)} | ` +
              `tuck ${write(tuck)}`,
          ],
          rule: 'Lids as deep as the sides',
          measured: {
            kind: 'stops',
            axis: 'y',
            stops: [0, net.headTuck, net.head, net.foot, net.footTuck, net.bottom],
          },
        },
      ],
    };
  },
});

/**
 * The box laid flat, outside up: its walls side by side behind the glue flap. Places are measured from its left edge
 * and its head.
 */
interface Net {
  readonly width: Mm;
  readonly height: Mm;
  readonly depth: Mm;
  readonly tuck: Mm;
  readonly flap: Mm;
  /** Left edges of the walls, and the right edge of the last. */
  readonly back: Mm;
  readonly left: Mm;
  readonly front: Mm;
  readonly right: Mm;
  readonly end: Mm;
  /** Head and foot of the walls, the creases of the tucks beyond them, and the lower edge of it all. */
  readonly headTuck: Mm;
  readonly head: Mm;
  readonly foot: Mm;
  readonly footTuck: Mm;
  readonly bottom: Mm;
}

function netOf({ width, height, depth, tuck, flap }: Pick<Net, 'width' | 'height' | 'depth' | 'tuck' | 'flap'>): Net {
  const head = tuck + depth;
  const foot = head + height;
  return {
    ...{ width, height, depth, tuck, flap },
    back: flap,
    left: flap + width,
    front: flap + width + depth,
    right: flap + 2 * width + depth,
    end: flap + 2 * width + 2 * depth,
    headTuck: tuck,
    head,
    foot,
    footTuck: foot + depth,
    bottom: foot + depth + tuck,
  };
}

type End = 'head' | 'foot';

/** What is printed, in the order of the sheet. */
const PRINTED = ['back', 'left side', 'front', 'right side', 'lid', 'foot lid'] as const;
type Wall = (typeof PRINTED)[number];

type Part =
  | Wall
  | 'glue flap'
  | 'lid tuck'
  | 'foot tuck'
  | 'left dust flap'
  | 'right dust flap'
  | 'left foot flap'
  | 'right foot flap';

const wallsOf = (net: Net): Readonly<Record<Wall, Rect>> => ({
  back: { x: net.back, y: net.head, width: net.width, height: net.height },
  'left side': { x: net.left, y: net.head, width: net.depth, height: net.height },
  front: { x: net.front, y: net.head, width: net.width, height: net.height },
  'right side': { x: net.right, y: net.head, width: net.depth, height: net.height },
  lid: { x: net.back, y: net.headTuck, width: net.width, height: net.depth },
  'foot lid': { x: net.back, y: net.foot, width: net.width, height: net.depth },
});

function partsOf(net: Net): readonly NetPart<Part>[] {
  const walls = wallsOf(net);
  const wall = (name: Wall) => ({ name, outline: cornersOf(walls[name]) });
  // What bends off a lid: all of it beyond its second crease.
  const tuck = (end: End) => lid(net, end).slice(1, 5);
  return [
    wall('back'),
    wall('left side'),
    wall('front'),
    wall('right side'),
    { name: 'glue flap', outline: glueFlap(net) },
    wall('lid'),
    { name: 'lid tuck', outline: tuck('head') },
    wall('foot lid'),
    { name: 'foot tuck', outline: tuck('foot') },
    { name: 'left dust flap', outline: dustFlap(net, net.left, 'head') },
    { name: 'right dust flap', outline: dustFlap(net, net.right, 'head') },
    { name: 'left foot flap', outline: dustFlap(net, net.left, 'foot') },
    { name: 'right foot flap', outline: dustFlap(net, net.right, 'foot') },
  ];
}

/** Away from the walls: up at the head, down at the foot. */
const awayFrom = (end: End): 1 | -1 => (end === 'head' ? -1 : 1);

/** A lid with its tuck, on the back, from its left crease round to its right one. */
function lid(net: Net, end: End): readonly Point[] {
  const away = awayFrom(end);
  const crease = net[end];
  const edge = crease + away * net.depth;
  const tip = edge + away * net.tuck;
  const taper = TUCK_TAPER * net.tuck;
  return [
    { x: net.back, y: crease },
    { x: net.back + LID_PLAY, y: edge },
    { x: net.back + taper, y: tip },
    { x: net.left - taper, y: tip },
    { x: net.left - LID_PLAY, y: edge },
    { x: net.left, y: crease },
  ];
}

/** A flap on a side that keeps dust out, from the left of its crease round to the right. */
function dustFlap(net: Net, x: Mm, end: End): readonly Point[] {
  const away = awayFrom(end);
  const crease = net[end];
  const reach = Math.min(net.depth * DUST_REACH, net.width / 2 - 1);
  const nick = Math.min(2, net.depth / 6);
  return [
    { x, y: crease },
    { x: x + nick, y: crease + away * reach },
    { x: x + net.depth - 2 * nick, y: crease + away * reach },
    { x: x + net.depth, y: crease + away * reach * DUST_SLOPE },
    { x: x + net.depth, y: crease },
  ];
}

/** From its lower crease end round to its upper one, cut back at both corners. */
const glueFlap = (net: Net): readonly Point[] => [
  { x: net.back, y: net.foot },
  { x: 0, y: net.foot - net.flap / 2 },
  { x: 0, y: net.head + net.flap / 2 },
  { x: net.back, y: net.head },
];

/** Clockwise from the head of the back. */
const outlineOf = (net: Net): readonly Point[] =>
  distinct([
    ...lid(net, 'head'),
    ...dustFlap(net, net.left, 'head'),
    { x: net.right, y: net.head },
    ...dustFlap(net, net.right, 'head'),
    ...dustFlap(net, net.right, 'foot').toReversed(),
    { x: net.front, y: net.foot },
    ...dustFlap(net, net.left, 'foot').toReversed(),
    ...lid(net, 'foot').toReversed(),
    ...glueFlap(net).slice(1),
  ]);

/** Points without repeats in a row. */
const distinct = (points: readonly Point[]): readonly Point[] =>
  points.filter((p, i) => {
    const before = points[(i + points.length - 1) % points.length];
    return !before || Math.hypot(p.x - before.x, p.y - before.y) > 1e-9;
  });

/** The crease between two walls. */
const between = (net: Net, x: Mm): ProcessLine => upright('score', x, net.foot, net.head);

function creasesOf(net: Net): readonly ProcessLine[] {
  const walls = wallsOf(net);
  const ends = (['back', 'left side', 'right side'] as const).flatMap((name) => {
    const { x, width } = walls[name];
    return [level('score', net.head, x + width, x), level('score', net.foot, x + width, x)];
  });
  const tucks = [net.headTuck, net.footTuck].map((y) => level('score', y, net.left - LID_PLAY, net.back + LID_PLAY));
  const uprights = [net.back, net.left, net.front, net.right].map((x) => between(net, x));
  return [...uprights, ...ends, ...tucks].map((line) => ({ ...line, direction: 'down' }));
}

/** The right side and the back come round behind the front, then the ends close. */
function stepsOf(net: Net): readonly NetStep<Part>[] {
  const turn = (parts: readonly Part[], stays: Part, crease: ProcessLine): NetTurn<Part> => ({
    parts,
    stays,
    crease,
    angle: -90,
  });
  const ofBack: readonly Part[] = ['back', 'glue flap', 'lid', 'lid tuck', 'foot lid', 'foot tuck'];
  const overLeft = (y: Mm) => level('score', y, net.front, net.left);
  const overRight = (y: Mm) => level('score', y, net.end, net.right);
  const overBack = (y: Mm) => level('score', y, net.left, net.back);
  return [
    {
      name: 'Fold the right side back',
      turns: [turn(['right side', 'right dust flap', 'right foot flap'], 'front', between(net, net.right))],
    },
    {
      name: 'Fold the left side back',
      turns: [
        turn(
          ['back', 'left side', ...ofBack.slice(1), 'left dust flap', 'left foot flap'],
          'front',
          between(net, net.front),
        ),
      ],
    },
    { name: 'Fold the back in', turns: [turn(ofBack, 'left side', between(net, net.left))] },
    { name: 'Glue the flap behind the right side', turns: [turn(['glue flap'], 'back', between(net, net.back))] },
    {
      name: 'Fold the dust flaps in',
      turns: [
        turn(['left dust flap'], 'left side', overLeft(net.head)),
        turn(['right dust flap'], 'right side', overRight(net.head)),
        turn(['left foot flap'], 'left side', overLeft(net.foot)),
        turn(['right foot flap'], 'right side', overRight(net.foot)),
      ],
    },
    {
      name: 'Bend the tucks',
      turns: [
        turn(['lid tuck'], 'lid', overBack(net.headTuck)),
        turn(['foot tuck'], 'foot lid', overBack(net.footTuck)),
      ],
    },
    {
      name: 'Close head and foot',
      turns: [
        turn(['lid', 'lid tuck'], 'back', overBack(net.head)),
        turn(['foot lid', 'foot tuck'], 'back', overBack(net.foot)),
      ],
    },
  ];
}
