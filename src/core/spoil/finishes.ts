import { applyChange, type Subject } from '../check';
import { finishOn, type Finishing, type FinishingOf } from '../job';
import { pathBounds } from '../layout';
import type { Spoiler, Spoilt } from './spoiler';

/** A line or coating as it should not be; without one, left out. */
const refinished = ({ piece, side }: Subject, { id }: Finishing, did: string, to?: Finishing): Spoilt => ({
  elements: [],
  did,
  spoil: (job) => applyChange(job, { kind: 'finishing', piece: piece.id, side, id, to }),
});

/** Coatings that lie on the side, with what they are called. */
function* coats(subject: Subject) {
  for (const coat of subject.drawing.coats) {
    const finishing = finishOn(subject.piece, subject.side).find(({ id }) => id === coat.id);
    if (finishing?.does === 'coat')
      yield { coat, finishing, title: subject.rules.coatings[coat.coating].title.toLowerCase() };
  }
}

/** Each coating of a side otherwise. */
const recoated = (
  did: (title: string) => string,
  change: (coat: FinishingOf<'coat'>, subject: Subject, size: number) => Partial<FinishingOf<'coat'>> | undefined,
): Spoiler['ways'] =>
  function* ways(subject) {
    for (const { coat, finishing, title } of coats(subject)) {
      const { width, height } = pathBounds(coat.path);
      const more = change(finishing, subject, Math.min(width, height));
      if (more) yield refinished(subject, finishing, did(title), { ...finishing, ...more });
    }
  };

export const knockedOut: Spoiler = {
  level: 3,
  ways: recoated(
    (title) => `The ${title} was told to knock out the print beneath it.`,
    () => ({ knocksOut: true }),
  ),
};

export const tinted: Spoiler = {
  level: 3,
  ways: recoated(
    (title) => `The ${title} was set to 40 %.`,
    () => ({ tint: 40 }),
  ),
};

/** A hairline where there was an area. */
export const drawnThin: Spoiler = {
  level: 3,
  *ways(subject) {
    for (const { coat, finishing, title } of coats(subject)) {
      if (finishing.coating === 'white') continue;
      const { x, y, width, height } = pathBounds(coat.path);
      const thin = subject.rules.coatings[coat.coating].least * 0.5;
      const [right, top, foot] = [x + width, y + height / 2, y + height / 2 + thin];
      const path = `M${x} ${top} L${right} ${top} L${right} ${foot} L${x} ${foot} Z`;
      const to = { ...finishing, of: { from: 'drawing' as const, path }, spread: 0 };
      yield refinished(subject, finishing, `The ${title} was made a hairline.`, to);
    }
  },
  brings: ['coat-drift'],
};

/** Edge on edge with what is printed. */
export const edgeOnEdge: Spoiler = {
  level: 4,
  ways: recoated(
    (title) => `The ${title} was made to end exactly where the print beneath it does.`,
    ({ of, spread }) => (of.from === 'elements' && spread !== 0 ? { spread: 0 } : undefined),
  ),
  brings: ['coat-fine'],
};

/** Following what is not there. */
export const followingNothing: Spoiler = {
  level: 2,
  ways: recoated(
    (title) => `What the ${title} followed was taken away.`,
    ({ of }) => (of.from === 'elements' ? { of: { from: 'elements', elements: ['taken-away'] } } : undefined),
  ),
  brings: ['white-missing'],
};

/** All over the side, over what is glued as well. */
export const overGlue: Spoiler = {
  level: 3,
  *ways(subject) {
    const { blank, side, drawing, piece } = subject;
    const zones = blank.surfaces.find(({ name }) => name === side)?.zones ?? [];
    if (!zones.some(({ kind }) => kind === 'no-ink')) return;
    const [first] = coats(subject);
    if (first)
      yield refinished(subject, first.finishing, `The ${first.title} was laid over the whole side.`, {
        ...first.finishing,
        of: { from: 'side' },
      });
    else if (drawing.coats.length === 0)
      yield {
        elements: [],
        did: 'A varnish was laid over the whole side.',
        spoil: (job) =>
          applyChange(job, {
            kind: 'add-finishing',
            piece: piece.id,
            side,
            finishing: { does: 'coat', id: 'all-over', coating: 'varnish-gloss', of: { from: 'side' }, spread: 0 },
          }),
      };
  },
  brings: ['coat-fine'],
};

/** Clear film without its white. */
export const withoutWhite: Spoiler = {
  level: 2,
  *ways(subject) {
    if (subject.job.stock.clear !== true) return;
    for (const { finishing } of coats(subject))
      if (finishing.coating === 'white')
        yield refinished(subject, finishing, 'The white beneath the artwork was left out.');
  },
};

/** A cut that runs where ink ends. */
export const cutOnEdge: Spoiler = {
  level: 2,
  *ways(subject) {
    for (const finishing of finishOn(subject.piece, subject.side)) {
      if (finishing.does !== 'line' || (finishing.process !== 'cut' && finishing.process !== 'kiss-cut')) continue;
      const { course } = finishing;
      if (course.course !== 'outline') continue;
      for (const offset of [0, 0.4, -0.4, 1])
        yield refinished(subject, finishing, 'The cut was laid where ink ends.', {
          ...finishing,
          course: { ...course, offset },
        });
    }
  },
  brings: ['safe-area', 'zones'],
};
