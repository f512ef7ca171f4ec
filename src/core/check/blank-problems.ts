import { writeIn, type Report, type Rule } from './rule';

/** What the format itself found: panels in the way, paper that cracks, an envelope too small, no sheet large enough. */
export const blankProblemsRule: Rule = {
  id: 'blank-problems',
  title: 'The piece itself',
  why: 'Size, folds and paper have to go together before anything is laid on them.',
  check: ({ job, blank, side, rules, drawing }) => {
    // The piece has its problems once, whatever its sides.
    if (side !== blank.surfaces[0]?.name) return [];
    const where = drawing.boxes.trim;
    const found = blank.problems.map(({ severity, message }): Report => ({ severity, element: null, where, message }));
    const wander = rules.trimTolerance.value;
    const narrow = [
      ['bleed', Math.min(...Object.values(rules.bleed.value))],
      ['safe margin', Math.min(...Object.values(rules.safe.value))],
    ] as const;
    for (const [name, mm] of narrow) {
      // No bleed at all is a decision; a little of it is a mistake.
      if (mm > 0 && mm < wander) {
        const message = `The ${name} of ${writeIn(job, mm)} is less than the knife wanders (${writeIn(job, wander)}).`;
        found.push({ severity: 'warning', element: null, where, message });
      }
    }
    if (rules.house !== undefined && blank.sheets.length > 0 && blank.sheets.every((fit) => fit.up === 0)) {
      const message = `It fits on none of the sheets of ${rules.house}: ${blank.sheets[0]?.why ?? 'it is too large'}.`;
      found.push({ severity: 'fault', element: null, where, message });
    }
    return found;
  },
};
