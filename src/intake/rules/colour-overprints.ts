import type { Colour } from '../painted';
import { onPiece, perPage, type IntakeRule } from '../rule';

/** Cyan, magenta or yellow in it: with what lies beneath it makes another colour. Black alone may overprint. */
const isColoured = ({ space, values }: Colour): boolean => space === 'cmyk' && values.slice(0, 3).some((v) => v > 0);

/** Coloured areas that overprint. */
export const colourOverprintsRule: IntakeRule = {
  id: 'colour-overprints',
  title: 'A colour that overprints',
  wish: () => 'Overprint for black, spot inks and traps: a colour mixes with what is beneath.',
  look: ({ file }) =>
    perPage(
      onPiece(file).filter(({ kind, overprint, colour }) => kind !== 'stroke' && overprint && isColoured(colour)),
      () => ({ weight: 'note', found: 'A colour overprints: what lies beneath shows through it.' }),
    ),
};
