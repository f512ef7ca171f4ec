import { createComposer, composeContextOf, type Resources } from '../core/compose';
import { blankOf, rulesFor, type Job } from '../core/job';
import { pieceOf, type DrawnJob } from '../core/edit';

/** A job with its first side drawn. */
export function drawnJobOf(job: Job, resources: Resources): DrawnJob {
  const piece = pieceOf(job);
  const blank = blankOf(job, piece);
  const [surface] = blank.surfaces;
  if (!surface) throw new Error('no side');
  const { drawings, story } = createComposer(composeContextOf(job, 300, resources)).piece(piece, blank.surfaces);
  const [drawing] = drawings;
  if (!drawing) throw new Error('nothing drawn');
  return {
    job,
    piece,
    blank,
    rules: rulesFor(job, piece),
    surface,
    resources,
    story,
    drawing,
  };
}
