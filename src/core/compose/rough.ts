import { nameOf } from '../element';
import { blankOf, elementsOn, type Job, type Piece, type SideName } from '../job';
import { solveLayout, type SurfaceBoxes } from '../layout';
import { evenTracks } from './set-table';

/** What content is taken to measure where nobody asks, mm. */
const UNMEASURED = 1;

/**
 * Sides with everything on them placed, without fonts and pictures at hand: what follows from content is not measured,
 * so that elements as high as their words have a place, but no height of their own.
 */
export const roughBoxes = (job: Job, piece: Piece): ReadonlyMap<SideName, SurfaceBoxes> =>
  new Map(
    blankOf(job, piece).surfaces.map((s) => {
      const layout = { side: s.name, elements: elementsOn(piece, s.name), ...piece };
      return [s.name, solveLayout(s.boxes, layout, { name: nameOf, size: () => UNMEASURED, tracks: evenTracks })];
    }),
  );
