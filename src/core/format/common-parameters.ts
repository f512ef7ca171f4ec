import { count, length, solvedLength, type Parameters } from '../parameter';

/** Decisions that every kind of piece has; a job file holds them in their own places. */
export const COMMON_PARAMETERS = {
  bleed: solvedLength('Bleed', 'Ink beyond the trim, at each edge; the printer or common practice says.'),
  safe: solvedLength('Safe margin', 'Kept clear of the knife, at each edge; the printer or common practice says.'),
  columns: count('Columns', '1', 'Across the safe area.', 1, 100),
  gutter: length('Gutter', '4 mm', 'Between columns.'),
  rows: count('Rows', '1', 'Down the safe area.', 1, 100),
  'row-gutter': length('Row gutter', '4 mm', 'Between rows.'),
  slug: length('Slug', '0 mm', 'Room for notes beyond the marks, at the foot.'),
} as const;

export type CommonName = keyof typeof COMMON_PARAMETERS;
export const isCommon = (name: string): name is CommonName => Object.hasOwn(COMMON_PARAMETERS, name);

/** The common decisions as parameters like any other. */
export const commonParameters: Parameters = COMMON_PARAMETERS;
