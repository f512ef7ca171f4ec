import { cornersOf, polygonPath, type Point, type Rect } from '../layout';
import type { Mm } from '../measure';
import type { Size } from '../paper';
import { Impossible, choice, length, size } from '../parameter';
import type { ProcessLine } from './blank';
import { defineFormat } from './format';
import { netSteps, type NetStep, type NetTurn } from './net';
import { level, shaped, upright, zone } from './sides';

/** Room around a card in its pocket, at each side, mm [cp]. */
const CARD_ROOM = { beside: 10, above: 5 };
/** How far a pocket’s outer edges are cut back where it folds, mm [cp]. */
const BITE = 3;
/** How much of a card’s shorter side a slit holds [cp]. */
const CORNER = 0.3;

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
  plan: (folder, { write }) => {
    const { width, height } = folder.size;
    const { pocket, flap, spine, slits, card } = folder;
    if (pocket >= height)
      throw new Impossible('pocket', `A pocket is lower than the folder: less than ${write(height)}.`);
    const isCardTooLarge = card.width > width - 2 * CARD_ROOM.beside || card.height > pocket - 2 * CARD_ROOM.above;
    if (slits !== 'none' && isCardTooLarge)
      throw new Impossible('card', `The card needs 10 mm around it in a pocket of ${write(width)} × ${write(pocket)}.`);
    const net = netOf(folder);
    const areas = areasOf(net);
    const outline = polygonPath(outlineOf(net));
    const parts = areas.map(({ name, rect }) => ({ name, outline: cornersOf(rect) }));
    return {
      finished: folder.size,
      flat: net.whole,
      surfaces: [
        {
          name: 'outside',
          size: net.whole,
          outline,
          panels: areas.flatMap(({ name, rect, isGlued }) =>
            // On the flat sheet pockets are upside down.
            isGlued ? [] : { name, ...rect, ...(/pocket$/.test(name) && { turned: true }) },
          ),
          processLines: [shaped('cut', outline), ...creasesOf(net), ...slitsOf(net, slits, card)],
          zones: areas.flatMap(({ name, rect, isGlued }) =>
            isGlued ? zone('no-ink', name, rect, 'Glue does not hold on ink.') : [],
          ),
        },
      ],
      folding: { up: 'outside', down: undefined, parts, steps: netSteps(parts, stepsOf(net)) },
      figures: [
        {
          id: 'panels-across',
          group: 'panels',
          name: 'Across, outside',
          value: [width, spine, width],
          unit: 'mm',
          working: [
            `flap ${write(flap)} | back ${write(width)} | spine ${write(spine)} | front ${write(width)} | ` +
              `flap ${write(flap)}`,
          ],
          rule: 'Read from the outside',
          measured: {
            kind: 'stops',
            axis: 'x',
            stops: [0, net.left, ...spineOf(net), net.right, net.whole.width],
          },
        },
        {
          id: 'panels-down',
          group: 'panels',
          name: 'Down',
          value: [height, pocket],
          unit: 'mm',
          working: [`folder ${write(height)} | pocket ${write(pocket)}`],
          rule: 'The pocket folds up behind',
          measured: { kind: 'stops', axis: 'y', stops: [0, height, net.whole.height] },
        },
      ],
    };
  },
});

interface Folder {
  readonly size: Size;
  readonly spine: Mm;
  readonly pocket: Mm;
  readonly flap: Mm;
}

/** The folder laid flat, outside up: back at the left, front at the right; pockets hang below and fold up behind. */
interface Net extends Folder {
  readonly whole: Size;
  /** Outer edges of back and front, and the spine between them, from the left edge. */
  readonly left: Mm;
  readonly spineLeft: Mm;
  readonly spineRight: Mm;
  readonly right: Mm;
  /** Where the pockets fold. */
  readonly foot: Mm;
}

function netOf({ size: closed, spine, pocket, flap }: Folder): Net {
  const { width, height } = closed;
  return {
    ...{ size: closed, spine, pocket, flap },
    whole: { width: 2 * width + spine + 2 * flap, height: height + pocket },
    left: flap,
    spineLeft: flap + width,
    spineRight: flap + width + spine,
    right: flap + 2 * width + spine,
    foot: height,
  };
}

/** One crease where there is no spine, else two. */
const spineOf = ({ spine, spineLeft, spineRight }: Net): readonly Mm[] =>
  spine > 0 ? [spineLeft, spineRight] : [spineLeft];

type Part = 'back' | 'spine' | 'front' | 'right pocket' | 'left pocket' | 'right glue flap' | 'left glue flap';

interface Area {
  readonly name: Part;
  readonly rect: Rect;
  readonly isGlued?: true;
}

/** Opened, one looks at the inside: the pocket of the back lies at the right. */
function areasOf(net: Net): readonly Area[] {
  const { width, height } = net.size;
  const { spine, pocket, flap, foot } = net;
  return [
    { name: 'back', rect: { x: net.left, y: 0, width, height } },
    ...(spine > 0 ? [{ name: 'spine' as const, rect: { x: net.spineLeft, y: 0, width: spine, height } }] : []),
    { name: 'front', rect: { x: net.spineRight, y: 0, width, height } },
    { name: 'right pocket', rect: { x: net.left, y: foot, width, height: pocket } },
    { name: 'left pocket', rect: { x: net.spineRight, y: foot, width, height: pocket } },
    { name: 'right glue flap', rect: { x: 0, y: foot, width: flap, height: pocket }, isGlued: true },
    { name: 'left glue flap', rect: { x: net.right, y: foot, width: flap, height: pocket }, isGlued: true },
  ];
}

/** Clockwise from the head of the back. */
function outlineOf({ whole, left, right, spineLeft, spineRight, foot }: Net): readonly Point[] {
  return [
    { x: left, y: 0 },
    { x: right, y: 0 },
    { x: right, y: foot },
    { x: whole.width, y: foot + BITE },
    { x: whole.width, y: whole.height - BITE },
    { x: right, y: whole.height },
    { x: spineRight + BITE, y: whole.height },
    { x: spineRight, y: foot },
    { x: spineLeft, y: foot },
    { x: spineLeft - BITE, y: whole.height },
    { x: left, y: whole.height },
    { x: 0, y: whole.height - BITE },
    { x: 0, y: foot + BITE },
    { x: left, y: foot },
  ];
}

const creasesOf = (net: Net): readonly ProcessLine[] =>
  [
    ...spineOf(net).map((x) => upright('score', x, net.foot)),
    level('score', net.foot, net.spineLeft, net.left),
    level('score', net.foot, net.right, net.spineRight),
    upright('score', net.left, net.whole.height, net.foot),
    upright('score', net.right, net.whole.height, net.foot),
  ].map((line) => ({ ...line, direction: 'down' }));

function slitsOf(net: Net, slits: 'none' | 'right' | 'both', card: Size): readonly ProcessLine[] {
  const inPocket = (x: Mm) => cardSlits({ x: x + net.size.width / 2, y: net.foot + net.pocket / 2 }, card);
  switch (slits) {
    case 'none':
      return [];
    case 'right':
      return inPocket(net.left);
    case 'both':
      return [...inPocket(net.left), ...inPocket(net.spineRight)];
  }
}

/** Four slanting slits that hold the corners of a card. */
function cardSlits(middle: Point, { width, height }: Size): readonly ProcessLine[] {
  const corner = Math.min(width, height) * CORNER;
  return [-1, 1].flatMap((sx) =>
    [-1, 1].map((sy): ProcessLine => ({
      process: 'cut',
      from: { x: middle.x + (sx * width) / 2, y: middle.y + sy * (height / 2 - corner) },
      to: { x: middle.x + sx * (width / 2 - corner), y: middle.y + (sy * height) / 2 },
    })),
  );
}

/** Glue flaps, pockets, then the folder about its spine. */
function stepsOf(net: Net): readonly NetStep<Part>[] {
  const { left, right, spineLeft, spineRight, foot, whole } = net;
  const turn = (parts: readonly Part[], stays: Part, crease: ProcessLine, angle: number): NetTurn<Part> => ({
    parts,
    stays,
    crease,
    angle,
  });
  const ofBack: readonly Part[] = ['back', 'right pocket', 'right glue flap'];
  const ofFront: readonly Part[] = ['front', 'left pocket', 'left glue flap'];
  const atLeft = upright('score', spineLeft, foot);
  const atRight = upright('score', spineRight, foot);
  const closing: readonly Omit<NetStep<Part>, 'layer'>[] =
    net.spine > 0
      ? [
          { name: 'Fold the back', turns: [turn(ofBack, 'spine', atLeft, -90)] },
          { name: 'Fold the front', turns: [turn(ofFront, 'spine', atRight, -90)] },
        ]
      : [{ name: 'Close it', turns: [turn(ofBack, 'front', atLeft, -180)] }];
  return [
    {
      name: 'Fold the glue flaps back',
      turns: [
        turn(['right glue flap'], 'right pocket', upright('score', left, whole.height, foot), -180),
        turn(['left glue flap'], 'left pocket', upright('score', right, whole.height, foot), -180),
      ],
    },
    {
      name: 'Fold the pockets up behind',
      layer: behind,
      turns: [
        turn(['right pocket', 'right glue flap'], 'back', level('score', foot, spineLeft, left), -180),
        turn(['left pocket', 'left glue flap'], 'front', level('score', foot, right, spineRight), -180),
      ],
    },
    ...closing.map((step) => ({ ...step, layer: behind })),
  ];
}

/** Pockets lie behind the folder, their glue flaps between. */
const behind = (part: Part): number => {
  switch (part) {
    case 'right pocket':
    case 'left pocket':
      return -1;
    case 'right glue flap':
    case 'left glue flap':
      return -0.5;
    case 'back':
    case 'spine':
    case 'front':
      return 0;
  }
};
