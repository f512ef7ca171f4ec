import type { Blank } from '../format';

/** The paper of a finished copy, mm²: of a book all its leaves, of anything else the flat piece. */
export function paperOf({ bound, finished, surfaces }: Blank): number {
  if (bound) return finished.width * finished.height * (surfaces.filter(({ repeats }) => !repeats).length / 2);
  const flat = surfaces[0]?.boxes.trim ?? finished;
  return flat.width * flat.height;
}
