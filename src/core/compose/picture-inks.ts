import type { Adjust } from '../element';
import { elementsOf, pictureAsset, type Job } from '../job';

/** A picture with what is done to its tones: what has to be known to say how much ink it takes. */
export interface InkNeed {
  readonly picture: string;
  readonly adjust?: Adjust;
}

export const inkKey = ({ picture, adjust }: InkNeed): string => JSON.stringify([picture, adjust ?? null]);

/**
 * What is done to the pixels of a picture; nothing where they stay as they are. A colour over them is laid on as ink.
 */
export const tonesOf = (adjust: Adjust): { readonly adjust?: Adjust } =>
  adjust.grey || adjust.levels || adjust.clear || adjust.ink !== undefined ? { adjust } : {};

/** The pictures that a job shows, each once for what is done to its tones. */
export function inksNeeded(job: Job): readonly InkNeed[] {
  const found = new Map<string, InkNeed>();
  for (const piece of job.pieces)
    for (const { element } of elementsOf(piece)) {
      if (element.kind !== 'picture' || element.picture === null || !pictureAsset(job.assets, element.picture))
        continue;
      const need = { picture: element.picture, ...tonesOf(element.adjust) };
      found.set(inkKey(need), need);
    }
  return [...found.values()];
}
