import { platesIn, totalLaid } from '../colour';
import { gapChance, inAThousand } from '../drift';
import { leavesOf, type Frame, type Ink } from '../drawing';
import { formatNumber, mmToPt } from '../measure';
import { beneath } from './beneath';
import { framed, replace, writeIn, type Report, type Rule } from './rule';

/** Inks paler than this show no gap, percent together. */
const PALE = 30;

/** A gap that is narrower is not seen, mm [own]. */
const SEEN = 0.05;

type Flat = Extract<Ink, { kind: 'process' }>;

/** The one ink that an element is filled with, opaque. */
function flatInk(frame: Frame): Flat | undefined {
  const leaves = leavesOf(frame.items);
  const inks = leaves.map((leaf) =>
    leaf.kind === 'path' && leaf.opacity === 1 && !leaf.blend && !leaf.stroke ? leaf.fill : undefined,
  );
  const [only] = inks;
  return inks.length === 1 && only?.kind === 'process' && !only.overprint ? only : undefined;
}

/** Where two inks meet that have no plate in common, the smallest shift shows paper between them. */
export const trapRule: Rule = {
  id: 'trap',
  title: 'Two inks that only touch',
  why: 'They have no plate in common, so a shift of one shows a white line between them. A narrow overlap hides it.',
  check: (subject) => {
    const all = framed(subject);
    // As far as the plates of the house lie off each other.
    const by = subject.rules.machines.plates.value.drift;
    const gaps = inAThousand(gapChance(by, SEEN));
    const below = beneath(all.map(({ frame }) => frame.ink));
    return all.flatMap(({ element, frame }, i): Report[] => {
      const upper = element.kind === 'shape' ? flatInk(frame) : undefined;
      if (
        element.kind !== 'shape' ||
        !upper ||
        element.fill?.kind === 'gradient' ||
        !element.fill ||
        totalLaid(upper) < PALE
      )
        return [];
      const next = below(i)
        .map((lower) => all[lower])
        .find((other) => other && other.frame.items.length > 0);
      const lower = next && flatInk(next.frame);
      if (!next || !lower || totalLaid(lower) < PALE) return [];
      if (platesIn(upper).some((plate) => platesIn(lower).includes(plate))) return [];
      const { fill } = element;
      const spread =
        fill.kind === 'paper'
          ? undefined
          : {
              ...element,
              stroke: {
                paint: { ...fill, overprint: true },
                widthPt: mmToPt(2 * by),
                dash: 'solid' as const,
                whole: true,
                align: 'centre' as const,
                cap: 'butt' as const,
                join: 'round' as const,
              },
            };
      return [
        {
          severity: 'note',
          element: element.id,
          where: frame.bounds,
          message:
            `It meets “${next.frame.name}” without an ink in common: paper shows between them, more than ` +
            `${writeIn(subject.job, SEEN)} wide, on ${gaps}. A spread of ` +
            `${writeIn(subject.job, by)} (a stroke of ${formatNumber(mmToPt(2 * by), 2)} pt that ` +
            'overprints) hides a shift.',
          fixes: spread ? [replace(`Spread it by ${writeIn(subject.job, by)}`, spread)] : [],
        },
      ];
    });
  },
};
