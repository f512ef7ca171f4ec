import { createComposer, composeContextOf, paintBook, type Resources } from '@/core/compose';
import { blankOf, rulesFor, type Job } from '@/core/job';
import { pieceOf } from './store';
import type { Desk } from './use-desk';

/** The first side of a job as the page has it, for tests. */
export function deskOf(job: Job, resources: Resources): Desk {
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
    paints: paintBook(resources.colour, job),
    story,
    drawing,
    beside: undefined,
    drawingOf: () => drawing,
    nameIn: () => undefined,
  };
}
