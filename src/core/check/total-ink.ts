import { totalInk, writeBuild, type Build } from '../colour';
import { leavesOf } from '../drawing';
import { framed, replace, type Report, type Rule, type Subject } from './rule';
import { repaint } from '../job';
import { asPaint, inksOf } from './paints';

/** A build with no more than the limit: black stays, the three colours shrink alike. Whole percents. */
export function withinLimit(build: Build, limit: number): Build {
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
    const worst = inksOf(frame).reduce<Build | undefined>(
      (most, ink) => (totalInk(ink.build) > totalInk(most ?? { c: 0, m: 0, y: 0, k: 0 }) ? ink.build : most),
      undefined,
    );
    if (!worst || totalInk(worst) <= limit + 0.5) return [];
    const reduced = withinLimit(worst, limit);
    const mended = repaint(element, subject.book, (paint) =>
      paint.kind === 'process' ? asPaint(withinLimit(paint, limit)) : paint.kind === 'rgb' ? asPaint(reduced) : paint,
    );
    return [
      {
        severity: 'fault',
        element: element.id,
        where: frame.bounds,
        message: `${writeBuild(worst)} is ${Math.round(totalInk(worst))} %; this paper takes ${limit} %.`,
        fixes: [replace(`Reduce to ${writeBuild(reduced)}`, mended)],
      },
    ];
  });
