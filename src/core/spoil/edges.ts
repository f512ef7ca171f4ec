import { darkBehind, framed, pastFold, reachesOut, type Subject } from '../check';
import { elementsOn, withSide } from '../job';
import {
  EDGE_NAMES,
  TOUCH,
  edges,
  grow,
  insets,
  isUpright,
  negated,
  pathBounds,
  type EdgeName,
  type Rect,
} from '../layout';
import { linesOn } from '../marks';
import { called, inJob, laid, largestFirst, otherwise, printed, smallestFirst, withFacts } from './spoiler';
import type { Spoiler } from './spoiler';

/** Ground that is left of a safe margin when type is moved into the rim, as a share of it. */
const INTO_RIM = 0.35;
/** How far beside a fold a colour ends that was meant to end on it, mm. */
const BESIDE = 0.8;
/** A border that no knife keeps even, mm. */
const NARROW = 1.4;

/** The margins that no knife can keep. */
export const narrowMargins: Spoiler = {
  level: 3,
  *ways(subject) {
    const wander = subject.rules.trimTolerance.value;
    if (wander > 0)
      yield withFacts(subject, 'The safe margin was made narrower than the knife wanders.', {
        safe: edges(wander / 2),
      });
  },
  brings: [
    'hole-drift',
    'zones',
    'coat-drift',
    'fold-meet',
    'fold-drift',
    'near-miss',
    'text-overflow',
    'uneven-border',
    'type-small',
  ],
};

export const narrowBleed: Spoiler = {
  level: 2,
  *ways(subject) {
    const wanted = subject.job.house.bleed;
    const wander = subject.rules.trimTolerance.value;
    if (!wanted) return;
    const least = Math.min(...EDGE_NAMES.map((edge) => wanted[edge]));
    const less = Math.max(least * 0.6, wander);
    if (least > 0 && less < least - TOUCH)
      yield withFacts(subject, 'The bleed was made less than the house wants.', { bleed: edges(less) });
  },
  brings: ['cut-bleed'],
};

/** What bleeds, taken back to the trim. */
export const stopsAtTrim: Spoiler = {
  level: 1,
  *ways(subject) {
    const { trim, bleed } = subject.drawing.boxes;
    for (const one of largestFirst(printed(subject, 'shape', 'picture'))) {
      const { element, frame } = one;
      if (!reachesOut(element) || !isUpright(element.placement) || element.atTrim === 'stops') continue;
      const [toTrim, toBleed] = [insets(frame.rect, trim), insets(frame.rect, bleed)];
      if (EDGE_NAMES.some((edge) => Math.abs(toTrim[edge]) <= TOUCH && toBleed[edge] > TOUCH))
        yield otherwise(`${called(one)} was taken back to the trim.`, { ...element, atTrim: 'stops' });
    }
  },
  brings: ['cut-bleed', 'uneven-border'],
};

export const pageStops: Spoiler = {
  level: 2,
  *ways(subject) {
    for (const one of printed(subject, 'page'))
      if (one.element.beyond !== 'nothing')
        yield otherwise(`The bleed of ${called(one)} was left out.`, { ...one.element, beyond: 'nothing' });
  },
};

/** Type set into the rim. */
export const intoRim: Spoiler = {
  level: 1,
  *ways(subject) {
    const { trim, safe } = subject.drawing.boxes;
    const margin = insets(safe, trim);
    for (const one of smallestFirst(printed(subject, 'text'))) {
      const { frame } = one;
      const room = insets(frame.ink, safe);
      const [edge] = EDGE_NAMES.filter((name) => margin[name] > 2 && room[name] >= -TOUCH).sort(
        (a, b) => room[a] - room[b],
      );
      if (edge === undefined || EDGE_NAMES.some((name) => room[name] < -TOUCH)) continue;
      const by = room[edge] + margin[edge] * (1 - INTO_RIM);
      const to = moved(frame.rect, edge, by);
      yield otherwise(`${called(one)} was moved into the rim at the ${edge}.`, laid(subject, one, to));
    }
  },
  brings: ['near-miss', 'zones', 'hole-drift', 'black-knocks-out'],
};

function moved(rect: Rect, edge: EdgeName, by: number): Rect {
  switch (edge) {
    case 'left':
      return { ...rect, x: rect.x - by };
    case 'right':
      return { ...rect, x: rect.x + by };
    case 'top':
      return { ...rect, y: rect.y - by };
    case 'bottom':
      return { ...rect, y: rect.y + by };
  }
}

/** A ground that bled, drawn in to a narrow border. */
export const narrowBorder: Spoiler = {
  level: 2,
  *ways(subject) {
    const { trim } = subject.drawing.boxes;
    for (const one of largestFirst(printed(subject, 'shape', 'picture'))) {
      if (!isUpright(one.element.placement)) continue;
      if (EDGE_NAMES.some((edge) => insets(one.frame.ink, trim)[edge] > TOUCH)) continue;
      const to = grow(trim, negated(edges(NARROW)));
      yield otherwise(`${called(one)} was drawn in to a border of ${NARROW} mm.`, laid(subject, one, to));
    }
  },
  brings: ['safe-area', 'cut-bleed', 'near-miss', 'fold-meet', 'zones'],
};

/** Type over what is glued, drilled, hidden or windowed. */
export const intoZone: Spoiler = {
  level: 2,
  *ways(subject) {
    const zones = subject.blank.surfaces.find(({ name }) => name === subject.side)?.zones ?? [];
    for (const zone of zones)
      for (const one of smallestFirst(printed(subject, 'text'))) {
        const box = pathBounds(zone.outline);
        const { rect } = one.frame;
        const to = { ...rect, x: box.x + (box.width - rect.width) / 2, y: box.y + (box.height - rect.height) / 2 };
        yield otherwise(`${called(one)} was put where “${zone.name}” is.`, laid(subject, one, to));
      }
  },
  brings: ['hole-drift', 'safe-area', 'near-miss', 'placement', 'fold-drift'],
};

/** Type so near to a hole that some of them hit it. */
export const intoHole: Spoiler = {
  level: 3,
  *ways(subject) {
    for (const hole of subject.drift()?.holes ?? [])
      for (const one of smallestFirst(printed(subject, 'text'))) {
        const { rect, ink } = one.frame;
        const to = { ...rect, x: rect.x + hole.x + hole.width - ink.x, y: rect.y + hole.y - ink.y };
        yield otherwise(`${called(one)} was put beside a hole.`, laid(subject, one, to));
      }
  },
  brings: ['zones', 'safe-area', 'near-miss', 'placement'],
};

/** A colour that ended on a fold, or was taken round it, ending beside it. */
export const besideFold: Spoiler = {
  level: 3,
  ways: (subject) => atFold(subject, BESIDE),
  brings: ['near-miss', 'fold-drift', 'zones'],
};

/** A colour that was taken round a fold, ending on it. */
export const onFold: Spoiler = { level: 4, ways: (subject) => atFold(subject, 0), brings: ['near-miss'] };

function* atFold(subject: Subject, past: number) {
  const surface = subject.blank.surfaces.find(({ name }) => name === subject.side);
  const folds = surface
    ? linesOn(surface, subject.drawing).filter(({ process }) => process === 'fold' || process === 'score')
    : [];
  for (const one of smallestFirst(printed(subject, 'shape', 'picture'))) {
    if (!reachesOut(one.element) || !isUpright(one.element.placement)) continue;
    for (const edge of EDGE_NAMES)
      for (const fold of folds) {
        const off = pastFold(fold, one.frame.rect, edge);
        // Nearer than that it was meant for this fold.
        if (off === undefined || off < -TOUCH || off > 12 || Math.abs(off - past) <= TOUCH) continue;
        const to = grow(one.frame.rect, { ...edges(0), [edge]: past - off });
        const did = past === 0 ? 'was made to end exactly on the fold' : `was made to end ${past} mm past the fold`;
        yield otherwise(`${called(one)} ${did}.`, laid(subject, one, to));
      }
  }
}

/** Everything of a side left out. */
export const forgotten: Spoiler = {
  level: 1,
  *ways(subject) {
    const { piece, side, blank } = subject;
    const surface = blank.surfaces.find(({ name }) => name === side);
    const own = elementsOn(piece, side);
    if (
      own.length === 0 ||
      surface?.repeats ||
      subject.drawing.repeated.length > 0 ||
      framed(subject).length > own.length
    )
      return;
    yield {
      elements: [],
      did: `Everything on the ${side} was left out.`,
      spoil: (job) => ({ ...job, pieces: job.pieces.map((p) => (p.id === piece.id ? withSide(p, side, []) : p)) }),
    };
  },
  brings: ['curl', 'finish-lost', 'missing', 'placement', 'text-overflow', 'white-missing', 'show-through'],
};

/** Paper so thin that what is dark on the back is seen. */
export const thinPaper: Spoiler = {
  level: 4,
  *ways(subject) {
    if (!darkBehind(subject)) return;
    yield inJob('The paper was changed for one that lets the back show.', ({ stock }) => ({
      stock: { ...stock, opacity: 82 },
    }));
  },
  brings: ['back-drift', 'show-through'],
};
