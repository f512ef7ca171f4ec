import { composeContextOf, createComposer } from '../core/compose';
import { CannotChange, pieceOf, type DrawnJob } from '../core/edit';
import { blankOf, rulesFor, surfaceOf, surfacesToLay, type Job, type SideName } from '../core/job';
import type { AssetSource } from './assets';
import { openResources } from './desk';

/** One side of a job, drawn, for a change that measures it. @throws CannotChange when there is no such side */
export async function drawnSide(job: Job, side: SideName, assets: AssetSource): Promise<DrawnJob> {
  const { resources } = await openResources(job, assets);
  const piece = pieceOf(job);
  const blank = blankOf(job, piece);
  const rules = rulesFor(job, piece);
  const surface = surfaceOf(blank, piece, side);
  const composer = createComposer(composeContextOf(job, rules.ppi.value * blank.scale, resources));
  const { drawings, story } = composer.piece(piece, surfacesToLay(blank, piece), [side]);
  const [drawing] = drawings;
  if (!surface || !drawing) throw new CannotChange(`There is no side “${side}”.`);
  return { job, piece, blank, rules, surface, resources, story, drawing };
}
