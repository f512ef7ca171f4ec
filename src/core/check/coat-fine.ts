import { differencePath, offsetPath, pathArea, pathBounds, unionOf, type Path } from '../layout';
import type { Coat } from '../drawing';
import { finishingNamed, refinish, writeIn, type Report, type Rule, type Subject } from './rule';

/** Corners that a round tool leaves are no fine part: so much of a coating may be rounded away, mm² for each mm of width. */
const CORNERS = 0.5;

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
  const area = (path: Path) => pathArea(path);
  // What an opening by half the width takes away is thinner than the width; what a closing fills is a narrower gap.
  const opened = offsetPath(offsetPath(whole, -least / 2), least / 2);
  const closed = offsetPath(offsetPath(whole, least / 2), -least / 2);
  const room = CORNERS * least * least * Math.max(4, whole.length / 40);
  const thin = differencePath(whole, opened);
  const gaps = differencePath(closed, whole);
  const finishing = finishingNamed(subject, coat.id);
  const wider =
    finishing?.does === 'coat' && typeof finishing.spread === 'number'
      ? [refinish(subject, `Spread it by ${writeIn(subject.job, least / 2)}`, coat.id, { ...finishing, spread: finishing.spread + least / 2 })]
      : [];
  return [
    ...(area(thin) > room ? [{ severity: 'warning', element: null, where: pathBounds(thin), message: `${title} has parts thinner than ${writeIn(subject.job, least)}, which it does not hold.`, fixes: wider } as const] : []),
    ...(area(gaps) > room ? [{ severity: 'warning', element: null, where: pathBounds(gaps), message: `${title} has gaps narrower than ${writeIn(subject.job, least)}, which fill in.` } as const] : []),
  ];
} // prettier-ignore
