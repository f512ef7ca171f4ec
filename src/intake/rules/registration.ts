import { overlaps } from '../../core/geometry';
import { perPage, trimOf, type IntakeRule } from '../rule';

/** The colour of marks, on every plate, within the trim. */
export const registrationRule: IntakeRule = {
  id: 'registration',
  title: 'Registration colour in the artwork',
  wish: () => 'Marks alone in the colour All; it prints solid on every plate.',
  look: ({ file }) =>
    perPage(
      file.painted.filter(({ colour, page, box }) => {
        const facts = file.pages[page - 1];
        return colour.inks.includes('All') && facts !== undefined && overlaps(box, trimOf(facts));
      }),
      () => ({ weight: 'fault', found: `Something is painted on every plate.` }),
    ),
};
