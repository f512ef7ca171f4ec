import { plainInk, type IntakeRule } from '../rule';

/** Inks that are names for the plates of the process, or for all and none of them. */
const OURS = ['Cyan', 'Magenta', 'Yellow', 'Black', 'All', 'None'];

/** The spot inks, and spellings that would make two plates of one. */
export const spotsRule: IntakeRule = {
  id: 'spots',
  title: 'Spot inks',
  wish: () => 'Each spot ink by one name, and only those that were ordered.',
  look: ({ file }) => {
    const names = [...new Set(file.painted.flatMap(({ colour }) => colour.inks))].filter((ink) => !OURS.includes(ink));
    const twins = names.filter((ink, i) => names.slice(0, i).some((other) => plainInk(other) === plainInk(ink)));
    return [
      ...(names.length > 0 ? [{ weight: 'note' as const, found: `Plates beside the four: ${names.join(', ')}.` }] : []),
      ...twins.map((ink) => ({ weight: 'fault' as const, found: `${ink} is there in another spelling too.` })),
    ];
  },
};
