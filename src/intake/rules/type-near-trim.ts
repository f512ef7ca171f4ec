import { insets } from '../../core/geometry';
import { inMm, paintedOf, perPage, trimOf, type IntakeRule } from '../rule';

/** Where a house does not say, pt (3 mm) [cp]. */
const USUAL = 8.5;
/** Words further out than this are marks and notes. */
const OUTSIDE = 0;

/** Words so near the edge that the knife may take some of them. */
export const typeNearTrimRule: IntakeRule = {
  id: 'type-near-trim',
  title: 'Type near the edge',
  wish: (house) => `Words at least ${house.safe ? inMm((house.safe.top * 72) / 25.4) : inMm(USUAL)} inside the trim.`,
  look: ({ file, house }) => {
    const wanted = house.safe ? (house.safe.top * 72) / 25.4 : USUAL;
    const near = paintedOf(file, 'text').flatMap((thing) => {
      const page = file.pages[thing.page - 1];
      if (!page) return [];
      // How far words go on is not known exactly: where they begin, and how high they are, is.
      const { left, top, bottom } = insets(thing.box, trimOf(page));
      const room = Math.min(left, top, bottom);
      return room > OUTSIDE - 1 && room < wanted - 1 && left > -thing.box.width ? [{ ...thing, room }] : [];
    });
    return perPage(near, ({ room }) => ({
      weight: 'warning',
      found: `Words stand ${inMm(Math.max(0, room))} from the trim.`,
    }));
  },
};
