import { COMMON_CODES, PROCESSES, type House } from '../../core/shop';
import { perPage, plainInk, type IntakeRule } from '../rule';

/** What the plates of lines for machines are called, at the house or in common. */
const namesOf = ({ lines }: House): ReadonlySet<string> =>
  new Set(PROCESSES.flatMap((process) => [COMMON_CODES[process].spot, lines[process]?.spot ?? '']).map(plainInk));

/** A line for the die that knocks out leaves a white line where it ran. */
export const lineKnocksOutRule: IntakeRule = {
  id: 'line-knocks-out',
  title: 'A line for a machine that knocks out',
  wish: () => 'Cut, fold and other lines that overprint: taken out of the file, nothing is missing beneath.',
  look: ({ file, house }) => {
    const names = namesOf(house);
    return perPage(
      file.painted.filter(
        ({ colour, overprint }) => !overprint && colour.inks.length === 1 && names.has(plainInk(colour.inks[0] ?? '')),
      ),
      ({ colour }) => ({ weight: 'fault', found: `A line in ${colour.inks[0] ?? ''} does not overprint.` }),
    );
  },
};
