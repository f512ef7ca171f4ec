import { RARE, exceededBy, inAThousand } from '../drift';
import { pathBounds } from '../layout';
import { rounded } from './fold-drift';
import { finishingNamed, refinish, writeIn, type Report, type Rule } from './rule';

/** A rim that is narrower is not seen, mm [own]. */
const SEEN = 0.1;

/** A coating that follows what is printed edge on edge lies beside it on most copies. */
export const coatDriftRule: Rule = {
  id: 'coat-drift',
  title: 'A coating beside its shape',
  why:
    'A second pass never falls exactly on the print. Edge on edge it leaves a rim bare on one side and shines on the ' +
    'paper on the other. Drawn in, or spread, by what it wanders it looks meant.',
  check: (subject) => {
    const { drawing, rules, job, blank } = subject;
    const side = drawing.coats.length > 0 ? subject.drift() : undefined;
    if (!side) return [];
    const printed = new Set(drawing.frames.flatMap((f) => (f.items.length > 0 ? [f.element] : [])));
    return drawing.coats.flatMap((coat, n): Report[] => {
      const finishing = finishingNamed(subject, coat.id);
      if (finishing?.does !== 'coat' || finishing.of.from !== 'elements' || typeof finishing.spread !== 'number')
        return [];
      // Where nothing is printed beneath, it lies beside nothing.
      if (!finishing.of.elements.some((id) => printed.has(id))) return [];
      const { spread } = finishing;
      const offs = side.copies().map(({ passes }) => Math.hypot(passes[n]?.x ?? 0, passes[n]?.y ?? 0));
      const seen = offs.filter((off) => off > Math.abs(spread) + SEEN).length / offs.length;
      if (seen <= RARE) return [];
      const clear = Math.ceil((exceededBy(offs, RARE) - SEEN) * 10) / 10;
      const write = (mm: number) => writeIn(job, mm * blank.scale);
      const { title } = rules.coatings[coat.coating];
      return [
        {
          severity: 'note',
          element: null,
          where: pathBounds(coat.path),
          copy: offs.indexOf(Math.max(...offs)),
          message:
            `${title} lies more than ${write(SEEN)} beside its shape on ${inAThousand(seen)}, at worst ` +
            `${write(rounded(Math.max(...offs)))}.`,
          fixes: [
            refinish(subject, `Draw it in by ${write(clear)}`, coat.id, { ...finishing, spread: -clear }),
            refinish(subject, `Spread it by ${write(clear)}`, coat.id, { ...finishing, spread: clear }),
          ],
        },
      ];
    });
  },
};
