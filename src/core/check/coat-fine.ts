import { differencePath, offsetPath, pathArea, pathBounds, subPaths, unionOf, type Path } from '../layout';
import type { Coat } from '../drawing';
import { finishingNamed, refinish, writeIn, type Report, type Rule, type Subject } from './rule';

/** A sharp corner that a round tool leaves is no fine part: so large, in squares of the width, a part has to be. */
const CORNER = 2;
/** What is narrower than this share of the width comes from the reckoning of curves. */
const SLIVER = 0.02;

/** Every process has a thinnest line that it holds. */
export const coatFineRule: Rule = {
  id: 'coat-fine',
  title: 'Too fine for its coating',
  why: 'Lines thinner than the process holds break up; gaps narrower than it holds fill in.',
  check: (subject) =>
    subject.drawing.coats.flatMap((coat) => (finishingNamed(subject, coat.id) ? fineParts(coat, subject) : [])),
};

function fineParts(coat: Coat, subject: Subject): readonly Report[] {
  const { least, title } = subject.rules.coatings[coat.coating];
  const whole = unionOf([coat]);
  // What an opening by half the width takes away is thinner than the width; what a closing fills is a narrower gap.
  const opened = offsetPath(offsetPath(whole, -least / 2), least / 2);
  const closed = offsetPath(offsetPath(whole, least / 2), -least / 2);
  const thin = partsOf(differencePath(whole, opened), least);
  const gaps = partsOf(differencePath(closed, whole), least);
  const finishing = finishingNamed(subject, coat.id);
  const wider =
    finishing?.does === 'coat' && typeof finishing.spread === 'number'
      ? [
          refinish(subject, `Spread it by ${writeIn(subject.job, least / 2)}`, coat.id, {
            ...finishing,
            spread: finishing.spread + least / 2,
          }),
        ]
      : [];
  return [
    ...(thin.length > 0
      ? [
          {
            severity: 'warning',
            element: null,
            where: pathBounds(thin),
            message: `${title} has parts thinner than ${writeIn(subject.job, least)}, which it does not hold.`,
            fixes: wider,
          } as const,
        ]
      : []),
    ...(gaps.length > 0
      ? [
          {
            severity: 'warning',
            element: null,
            where: pathBounds(gaps),
            message: `${title} has gaps narrower than ${writeIn(subject.job, least)}, which fill in.`,
          } as const,
        ]
      : []),
  ];
}

function partsOf(path: Path, width: number): Path {
  const parts = subPaths(offsetPath(path, -SLIVER * width));
  return parts.filter((part) => Math.abs(pathArea(part)) > CORNER * width * width).flat();
}
