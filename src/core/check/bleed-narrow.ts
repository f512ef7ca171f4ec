import { EDGE_NAMES, TOUCH } from '../layout';
import { writeIn, type Rule } from './rule';

/** The house of a job says how far things bleed; less is a decision that it will ask about. */
export const bleedNarrowRule: Rule = {
  id: 'bleed-narrow',
  title: 'Less bleed than the house wants',
  why: 'A house asks for as much bleed as its knives need. With less, it sends the file back or cuts at its own risk.',
  check: ({ job, piece, blank, side, rules, drawing }) => {
    const wanted = job.house.bleed;
    // The piece has its bleed once, whatever its sides.
    if (!wanted || piece.bleed === undefined || side !== blank.surfaces[0]?.name) return [];
    const { value } = rules.bleed;
    const short = EDGE_NAMES.filter((edge) => value[edge] < wanted[edge] - TOUCH);
    const [first] = short;
    if (first === undefined) return [];
    const message =
      `${writeIn(job, value[first])} at the ${short.join(' and ')} edge${short.length > 1 ? 's' : ''}; ` +
      `${job.house.name || 'the house'} wants ${writeIn(job, wanted[first])}.`;
    return [{ severity: 'warning', element: null, where: drawing.boxes.trim, message }];
  },
};
