import { elementsOf, type Job } from '../job';
import { FALLBACK_FAMILY } from '../type';

export interface FaceNeed {
  readonly family: string;
  readonly weight: number;
  readonly italic: boolean;
}

/** What the slug line and stand-ins are set in. */
export const SLUG_FACE: FaceNeed = { family: FALLBACK_FAMILY, weight: 400, italic: false };

/** The faces a job’s text asks for, and the one that stands in. */
export function facesNeeded(job: Job): readonly FaceNeed[] {
  const needs = new Map([[keyOf(SLUG_FACE), SLUG_FACE]]);
  for (const piece of job.pieces) {
    for (const { element } of elementsOf(piece)) {
      if (element.kind !== 'text') continue;
      const { family, weight, italic } = element.style;
      needs.set(keyOf(element.style), { family, weight, italic });
    }
  }
  return [...needs.values()];
}

/** The languages whose hyphenation a job asks for. */
export function languagesNeeded(job: Job): readonly string[] {
  const found = job.pieces.flatMap((piece) =>
    elementsOf(piece).flatMap(({ element }) =>
      element.kind === 'text' && element.style.hyphenate ? [element.language ?? job.language] : [],
    ),
  );
  return [...new Set(found)];
}

const keyOf = (need: FaceNeed) => `${need.family}/${need.weight}/${need.italic}`;
