import { overlaps } from '../../core/geometry';
import { perPage, trimOf, type IntakeRule } from '../rule';

/** A picture that lies wholly beside the page was left there. */
export const besidePageRule: IntakeRule = {
  id: 'beside-page',
  title: 'A picture beside the page',
  wish: () => 'Nothing outside the bleed but marks.',
  look: ({ file }) =>
    perPage(
      file.painted.filter(({ kind, page, box }) => {
        const facts = file.pages[page - 1];
        return kind === 'picture' && facts !== undefined && !overlaps(box, facts.bleed ?? trimOf(facts));
      }),
      () => ({ weight: 'note', found: 'A picture lies outside the bleed and does not print.' }),
    ),
};
