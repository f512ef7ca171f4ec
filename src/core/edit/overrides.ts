import type { OverrideField } from '../figure';
import type { Job, Piece } from '../job';
import { changePiece } from './on-side';

/**
 * Puts the designer’s value in place of a computed one; without a value, the computed one stands again.
 *
 * @param value mm for bleed, safe area and marks; pixels to the inch; percent of ink; points for type and lines
 */
export function overrideFigure(job: Job, field: OverrideField, value: number | undefined): Job {
  switch (field) {
    case 'bleed':
    case 'safe':
      return changePiece(job, (piece): Piece => withValue(piece, field, value === undefined ? value : edges(value)));
    case 'ppi':
      return withValue(job, field, value);
    case 'inkLimit':
    case 'minTypePt':
    case 'minLinePt':
      return { ...job, house: withValue(job.house, field, value) };
    case 'markOffset':
      return { ...job, output: withValue(job.output, field, value) };
  }
}

const edges = (mm: number) => ({ top: mm, right: mm, bottom: mm, left: mm });

/** A record with a field set, or without it. */
function withValue<R extends object, K extends keyof R>(record: R, field: K, value: R[K] | undefined): R {
  const changed = { ...record, [field]: value };
  if (value === undefined) Reflect.deleteProperty(changed, field);
  return changed;
}
