import { elementsOf, jobFonts, type FontAsset, type Job } from '../job';
import { FALLBACK_FAMILY, SHIPPED_FACES, nearestFace, type ShippedFace } from '../type';

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

/** The drawings that a job shows, by hash. */
export function drawingsNeeded(job: Job): readonly string[] {
  const found = job.pieces.flatMap((piece) =>
    elementsOf(piece).flatMap(({ element }) => (element.kind === 'vector' ? [element.drawing] : [])),
  );
  return [...new Set(found)];
}

/** Where a face comes from. */
export type FaceSource =
  | { readonly from: 'job'; readonly font: FontAsset & { readonly sha: string } }
  | { readonly from: 'shipped'; readonly face: ShippedFace };

/** The face that a need comes down to: the nearest of the job’s own and the shipped ones, its own where both are as near. */
export function faceFor(job: Job, need: FaceNeed): FaceSource | undefined {
  const own = jobFonts(job)
    .filter((font) => font.family === need.family)
    .map((font) => ({ from: 'job' as const, font, weight: font.weight, italic: font.italic }));
  const shipped = SHIPPED_FACES.filter((face) => face.family === need.family).map((face) => ({
    from: 'shipped' as const,
    face,
    weight: face.weight,
    italic: face.italic,
  }));
  return nearestFace([...own, ...shipped], need.weight, need.italic);
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
