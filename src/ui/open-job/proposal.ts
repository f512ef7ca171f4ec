import { checkSurface, figureChanges, lostByChange, type Finding } from '@/core/check';
import { createComposer, composeContextOf, type Resources } from '@/core/compose';
import { blankOf, rulesFor, type Job } from '@/core/job';
import type { Proposal, Recipe } from './state';
import { pieceOf } from '@/core/edit';

/** Everything that is wrong with a job as it would be. */
function findingsOf(job: Job, resources: Resources): readonly Finding[] {
  const piece = pieceOf(job);
  const blank = blankOf(job, piece);
  const rules = rulesFor(job, piece);
  const composer = createComposer(composeContextOf(job, rules.ppi.value * blank.scale, resources));
  const { drawings } = composer.piece(piece, blank.surfaces);
  return drawings.flatMap((drawing) => checkSurface(job, piece, drawing.surface, drawing, { blank }));
}

const keyOf = (f: Finding) => `${f.rule}/${f.surface}/${f.element ?? ''}/${f.element ? '' : f.message}`;

/** What another printer or paper changes, and what fails that did not fail before. */
export function proposalFor(label: string, before: Job, recipe: Recipe, resources: Resources): Proposal {
  const after = recipe(before);
  const known = new Set(findingsOf(before, resources).map(keyOf));
  const fresh = findingsOf(after, resources).filter((f) => !known.has(keyOf(f)) && f.severity !== 'note');
  return {
    label,
    recipe,
    lost: lostByChange(before, after),
    changes: figureChanges(blankOf(before, pieceOf(before)), blankOf(after, pieceOf(after)), after.unit),
    fails: [...new Set(fresh.map((f) => f.message))],
  };
}
