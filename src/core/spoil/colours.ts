import { applyChange, seenBackDrift, wouldCurl, type Subject } from '../check';
import { platesIn, totalInk, totalLaid, type Build } from '../colour';
import { leavesOf, type Ink } from '../drawing';
import { repaint, type Element, type ElementOf, type SolidPaint, type SpotInk } from '../job';
import { EDGE_NAMES, insets, overlaps, type Rect } from '../layout';
import { finishLayers, linesOn } from '../marks';
import { freshId } from '../edit';
import {
  called,
  inJob,
  laid,
  largestFirst,
  otherwise,
  printed,
  smallestFirst,
  type Spoiler,
  type Spoilt,
} from './spoiler';

const build = (c: number, m: number, y: number, k: number) => ({ kind: 'process', c, m, y, k }) as const;

/** Shapes with one solid fill. */
function* filled(subject: Subject) {
  for (const one of printed(subject, 'shape')) {
    const { fill } = one.element;
    if (fill && fill.kind !== 'gradient') yield { ...one, fill };
  }
}

function* refilled(subject: Subject, paint: SolidPaint, did: string): Generator<Spoilt> {
  for (const one of smallestFirst(filled(subject)))
    yield otherwise(`${called(one)} ${did}.`, { ...one.element, fill: paint });
}

/** More ink than the paper takes. */
export const tooMuchInk: Spoiler = {
  level: 2,
  ways: (subject) => refilled(subject, build(95, 90, 90, 85), 'was filled with 360 % of ink'),
  brings: ['slow-drying', 'show-through', 'curl', 'kit', 'trap', 'back-drift', 'code-contrast'],
};

/** A colour left as a screen says it, to a house that wants builds. */
export const asOnScreen: Spoiler = {
  level: 2,
  *ways(subject) {
    if (subject.job.house.rgb === 'refuse')
      yield* refilled(subject, { kind: 'rgb', r: 118, g: 108, b: 98 }, 'was filled with a colour in RGB');
  },
  brings: ['kit', 'trap', 'total-ink', 'slow-drying'],
};

/** A colour that only a screen has. */
export const asOnlyOnScreen: Spoiler = {
  level: 2,
  ways: (subject) =>
    refilled(subject, { kind: 'rgb', r: 0, g: 255, b: 60 }, 'was filled with a green that only a screen has'),
  brings: ['kit', 'trap', 'rgb-left', 'total-ink'],
};

/** One ink under two names. */
export const twoNames: Spoiler = {
  level: 3,
  *ways({ job, side, blank }) {
    if (blank.surfaces[0]?.name !== side) return;
    const [first] = job.inks ?? [];
    const ink: SpotInk = first ?? { name: 'Night blue', finish: 'plain', c: 100, m: 85, y: 10, k: 20 };
    const twin = { ...ink, name: `${ink.name.toLowerCase().replace(/ /g, '-')}-` };
    yield inJob(`“${ink.name}” is there a second time, as “${twin.name}”.`, ({ inks = [] }) => ({
      inks: [...(first ? [] : [ink]), ...inks, twin],
    }));
  },
};

/** An ink with the name of a line’s plate. */
export const plateTaken: Spoiler = {
  level: 4,
  *ways({ drawing, blank, rules, side }) {
    const surface = blank.surfaces.find(({ name }) => name === side);
    const layers = surface ? finishLayers({ lines: linesOn(surface, drawing), coats: drawing.coats }, rules) : [];
    for (const { name } of layers)
      yield inJob(`A spot ink was called “${name}”, as the plate of a line or coating is.`, ({ inks = [] }) => ({
        inks: [...inks, { name, finish: 'plain', c: 0, m: 60, y: 0, k: 0 }],
      }));
  },
  brings: ['near-inks'],
};

/** A gradient told two things at once. */
export const halfOver: Spoiler = {
  level: 4,
  *ways(subject) {
    for (const one of printed(subject, 'shape')) {
      const { element } = one;
      const { fill } = element;
      if (fill?.kind !== 'gradient') continue;
      const at = fill.stops.findIndex(({ paint }) => paint.kind !== 'paper');
      const stops = fill.stops.map((stop, i) =>
        i === at && stop.paint.kind !== 'paper' ? { ...stop, paint: { ...stop.paint, overprint: true } } : stop,
      );
      if (at >= 0)
        yield otherwise(`One colour of the gradient in ${called(one)} was told to overprint.`, {
          ...element,
          fill: { ...fill, stops },
        });
    }
  },
};

/** Inks that can be taken where two shapes meet and are to have no plate in common. */
const APART: readonly Build[] = [
  { c: 0, m: 90, y: 90, k: 0 },
  { c: 90, m: 0, y: 0, k: 0 },
  { c: 0, m: 0, y: 100, k: 0 },
  { c: 0, m: 100, y: 0, k: 0 },
  { c: 0, m: 0, y: 0, k: 60 },
];

const flatOf = (items: Parameters<typeof leavesOf>[0]): Extract<Ink, { kind: 'process' }> | undefined => {
  const [only, ...rest] = leavesOf(items);
  return rest.length === 0 &&
    only?.kind === 'path' &&
    !only.stroke &&
    only.opacity === 1 &&
    only.fill?.kind === 'process'
    ? only.fill
    : undefined;
};

/** Two inks that only touch. */
export const onlyTouching: Spoiler = {
  level: 4,
  *ways(subject) {
    const { frames } = subject.drawing;
    for (const one of smallestFirst(filled(subject))) {
      const at = frames.indexOf(one.frame);
      const lower = frames
        .slice(0, at)
        .findLast((frame) => frame.items.length > 0 && overlaps(frame.ink, one.frame.ink));
      const beneath = lower && flatOf(lower.items);
      if (!beneath || totalLaid(beneath) < 30 || !flatOf(one.frame.items)) continue;
      const taken = platesIn(beneath);
      const other = APART.find((ink) => !platesIn({ build: ink }).some((plate) => taken.includes(plate)));
      if (other)
        yield otherwise(`${called(one)} was filled with inks that what lies beneath it has none of.`, {
          ...one.element,
          fill: { kind: 'process', ...other },
        });
    }
  },
  brings: ['kit', 'rich-black', 'code-contrast'],
};

/** Much ink on paper that takes long to let it dry, or on one side of a thin sheet. */
const large = (subject: Subject, least: number) =>
  largestFirst(filled(subject)).filter(({ frame }) => shareOf(frame.ink, subject.drawing.boxes.trim) >= least);

const shareOf = (box: Rect, trim: Rect): number => {
  const width = Math.min(box.x + box.width, trim.width) - Math.max(box.x, 0);
  const height = Math.min(box.y + box.height, trim.height) - Math.max(box.y, 0);
  return (Math.max(0, width) * Math.max(0, height)) / (trim.width * trim.height);
};

const HEAVY = build(75, 60, 40, 55);

export const wetGround: Spoiler = {
  level: 3,
  *ways(subject) {
    if (subject.job.stock.kind === 'coated' || totalInk(HEAVY) > subject.rules.inkLimit.value) return;
    for (const one of large(subject, 0.12))
      yield otherwise(`${called(one)} was filled with ${totalInk(HEAVY)} % of ink.`, { ...one.element, fill: HEAVY });
  },
  brings: ['curl', 'show-through', 'kit', 'trap', 'back-drift'],
};

export const fullOnOneSide: Spoiler = {
  level: 3,
  *ways(subject) {
    if (!wouldCurl(subject)) return;
    for (const one of large(subject, 0.6))
      yield otherwise(`${called(one)} was filled with ${totalInk(HEAVY)} % of ink.`, { ...one.element, fill: HEAVY });
  },
  brings: ['slow-drying', 'show-through', 'total-ink', 'kit', 'trap', 'back-drift'],
};

/** An area on the back exactly behind one on the front. */
export const exactlyBehind: Spoiler = {
  level: 4,
  *ways(subject) {
    const { piece, back, drawing } = subject;
    const { trim } = drawing.boxes;
    if (!back || !seenBackDrift(subject)) return;
    for (const one of smallestFirst(filled(subject))) {
      if (EDGE_NAMES.every((edge) => insets(one.frame.ink, trim)[edge] <= 0)) continue;
      const { rect } = one.frame;
      const behind: Element = {
        ...laid<ElementOf<'shape'>>({ ...subject, drawing: back }, one, {
          ...rect,
          x: trim.width - rect.x - rect.width,
        }),
        id: freshId(),
        name: `${one.frame.name}, on the back`,
        group: null,
        clipTo: null,
      };
      yield {
        elements: [one.element.id, behind.id],
        did: `An area was put exactly behind ${called(one)}.`,
        spoil: (job) => added(job, piece.id, back.surface, behind),
      };
    }
  },
  brings: ['show-through', 'safe-area', 'near-miss'],
};

/** One more element on a side, above the others. */
export const added = (job: Subject['job'], piece: string, side: string, element: Element) =>
  applyChange(job, { kind: 'add', piece, side, element });

/** A colour that the client’s kit does not have. */
export const offKit: Spoiler = {
  level: 4,
  *ways(subject) {
    if (!subject.job.kit) return;
    for (const one of smallestFirst(printed(subject, 'shape', 'text'))) {
      const element = repaint(one.element, subject.book, (paint) =>
        paint.kind === 'process' && totalInk(paint) > 20 && totalInk(paint) < 280 && paint.k < 100
          ? { ...paint, c: near(paint.c), m: near(paint.m) }
          : paint,
      );
      if (JSON.stringify(element) !== JSON.stringify(one.element))
        yield otherwise(`A colour of ${called(one)} was mixed a little otherwise than the kit has it.`, element);
    }
  },
  brings: ['trap', 'type-small', 'near-inks'],
};

const near = (percent: number): number => (percent > 50 ? percent - 6 : percent + 6);
