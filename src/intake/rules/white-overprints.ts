import type { Colour } from '../painted';
import { perPage, type IntakeRule } from '../rule';

/** Nothing on any plate. */
const isWhite = ({ space, values }: Colour): boolean =>
  (space === 'cmyk' && values.length > 0 && values.every((v) => v === 0)) ||
  (space === 'spot' && values.length > 0 && values.every((v) => v === 0)) ||
  (space === 'grey' && values[0] === 1);

/** White that overprints is not there. */
export const whiteOverprintsRule: IntakeRule = {
  id: 'white-overprints',
  title: 'White that overprints',
  wish: () => 'White that knocks out: overprinting, it vanishes.',
  look: ({ file }) =>
    perPage(
      file.painted.filter(({ overprint, colour }) => overprint && isWhite(colour)),
      () => ({ weight: 'fault', found: `Something white overprints and will not be seen.` }),
    ),
};
