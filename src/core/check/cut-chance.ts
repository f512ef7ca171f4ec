import { chanceOfCut, edgeMiddles, inAThousand } from '../drift';
import type { EdgeName } from '../layout';
import type { Subject } from './rule';

/** What is not worth saying: fewer than one copy in ten thousand. */
const NEVER = 1 / 10_000;

/** How many copies are cut into, in words to go on with; nothing where none is. @param inset to the trim, mm drawn */
export const cutInto = (subject: Subject, edge: EdgeName, inset: number): string =>
  said(subject, edge, inset, 'in', (copies) => `; ${copies} are cut into`);

/** How many copies show paper at the edge. @param reach past the trim, mm as drawn */
export const paperShows = (subject: Subject, edge: EdgeName, reach: number): string =>
  said(subject, edge, reach, 'out', (copies) => ` (paper shows on ${copies})`);

function said(
  subject: Subject,
  edge: EdgeName,
  distance: number,
  way: 'in' | 'out',
  words: (copies: string) => string,
): string {
  const side = subject.drift();
  if (!side) return '';
  const { chance } = chanceOfCut(side, edge, edgeMiddles(side.trim)[edge], distance, way);
  return chance < NEVER ? '' : words(inAThousand(chance));
}
