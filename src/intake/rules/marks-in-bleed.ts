import { edges, grow, overlaps } from '../../core/geometry';
import { perPage, trimOf, wantedBleed, type IntakeRule } from '../rule';

/** What only touches the bleed is not in it, pt. */
const TOUCHES = 0.5;

/** Marks that reach into the bleed show where a copy is cut a little outside. */
export const marksInBleedRule: IntakeRule = {
  id: 'marks-in-bleed',
  title: 'Marks in the bleed',
  wish: () => 'Marks that begin outside the bleed.',
  look: ({ file, house }) =>
    perPage(
      file.painted.filter(({ colour, page, box }) => {
        const facts = file.pages[page - 1];
        if (!facts || !colour.inks.includes('All')) return false;
        const trim = trimOf(facts);
        return overlaps(box, grow(trim, edges(wantedBleed(house) - TOUCHES))) && !overlaps(box, trim);
      }),
      () => ({ weight: 'warning', found: 'A mark reaches into the bleed.' }),
    ),
};
