import type { Rule } from './rule';

/** Names that differ by spaces, case or a hyphen only. */
const plain = (name: string): string => name.toLowerCase().replace(/[\s_-]+/g, '');
/** Builds whose inks all differ by no more than this look alike, percent [cp]. */
const ALIKE = 3;

/** Two plates where one was meant cost a plate and a wash. */
export const nearInksRule: Rule = {
  id: 'near-inks',
  title: 'Spot inks that are nearly the same',
  why: 'Each spot ink is a plate, a unit of the press and a wash-up. Two that pass for one were meant to be one.',
  check: ({ job, drawing, blank, side }) => {
    // Inks are the job’s: they are said once.
    if (blank.surfaces[0]?.name !== side) return [];
    const inks = job.inks ?? [];
    return inks.flatMap((one, i) =>
      inks
        .slice(i + 1)
        .filter(
          (two) =>
            plain(one.name) === plain(two.name) ||
            (one.finish === two.finish &&
              (['c', 'm', 'y', 'k'] as const).every((ink) => Math.abs(one[ink] - two[ink]) <= ALIKE)),
        )
        .map((two) => ({
          severity: 'warning' as const,
          element: null,
          where: drawing.boxes.trim,
          message: `“${one.name}” and “${two.name}” are two plates for what looks like one ink.`,
          fixes: [
            {
              label: `Print both with ${one.name}`,
              change: { kind: 'merge-inks' as const, from: two.name, into: one.name },
            },
          ],
        })),
    );
  },
};
