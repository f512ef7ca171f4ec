import { NO_INK, totalInk, totalLaid, writeBuild, type Build, type Laid } from '../colour';
import { leavesOf } from '../drawing';
import { framed, replace, type Report, type Rule, type Subject } from './rule';
import { repaint } from '../job';
import { asPaint, inksOf } from './paints';

/** A build with no more than the limit: black stays, the three colours shrink alike. Whole percents. */
export function withinLimit({ c, m, y, k }: Build, limit: number): Build {
  const build = { c, m, y, k };
  const total = totalInk(build);
  if (total <= limit) return build;
  const share = Math.max(0, limit - build.k) / (total - build.k);
  return {
    c: Math.floor(build.c * share),
    m: Math.floor(build.m * share),
    y: Math.floor(build.y * share),
    k: build.k,
  };
}

/** Paper takes only so much ink. */
export const totalInkRule: Rule = {
  id: 'total-ink',
  title: 'Too much ink',
  why: 'Above the paper’s limit ink does not dry: it sets off on the next sheet, and the sheets stick.',
  check: (subject) => [...pictures(subject), ...shapes(subject)],
};

const spotsOf = (spots: readonly { readonly tint: number }[] = []): number =>
  spots.reduce((sum, { tint }) => sum + tint, 0);

/** Pictures are separated anew: black takes over what their colours give up. */
const pictures = (subject: Subject): readonly Report[] =>
  framed(subject).flatMap(({ element, frame }): Report[] => {
    const limit = subject.rules.inkLimit.value;
    const item = leavesOf(frame.items).find((i) => i.kind === 'picture');
    if (item?.kind !== 'picture' || element.kind !== 'picture' || (item.inkMost ?? 0) <= limit + 1) return [];
    return [
      {
        severity: 'fault',
        element: element.id,
        where: frame.bounds,
        message: `The picture has ${Math.round(item.inkMost ?? 0)} % in places; this paper takes ${limit} %.`,
        fixes: [replace(`Separate it anew for ${limit} %`, { ...element, adjust: { ...element.adjust, ink: limit } })],
      },
    ];
  });

const shapes = (subject: Subject): readonly Report[] =>
  framed(subject).flatMap(({ element, frame }): Report[] => {
    const limit = subject.rules.inkLimit.value;
    const worst = inksOf(frame).reduce<Laid>((most, ink) => (totalLaid(ink) > totalLaid(most) ? ink : most), {
      build: NO_INK,
    });
    if (totalLaid(worst) <= limit + 0.5) return [];
    // What spot inks take of the limit stays theirs.
    const reduced = withinLimit(worst.build, limit - spotsOf(worst.spots));
    const mended = repaint(element, subject.book, (paint) => {
      if (paint.kind === 'process') return asPaint(withinLimit(paint, limit));
      if (paint.kind === 'spot') return { ...paint, ...withinLimit(paint, limit - spotsOf(paint.spots)) };
      return paint.kind === 'rgb' ? asPaint(reduced) : paint;
    });
    const spots = (worst.spots ?? []).map(({ name, tint }) => ` + ${name} ${Math.round(tint)}`).join('');
    const laid = Math.round(totalLaid(worst));
    return [
      {
        severity: 'fault',
        element: element.id,
        where: frame.bounds,
        message: `${writeBuild(worst.build)}${spots} is ${laid} %; this paper takes ${limit} %.`,
        fixes: [replace(`Reduce to ${writeBuild(reduced)}${spots}`, mended)],
      },
    ];
  });
