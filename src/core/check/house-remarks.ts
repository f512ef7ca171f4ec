import type { Frame } from '../drawing';
import { areaOf, intersection, overlaps, type Rect } from '../layout';
import type { SideName } from '../job';
import type { Finding } from './rule';

/** What a print house says of a press file, as far as it can be looked for in the job. */
export interface HouseRemark {
  /** The house’s own name of the rule. */
  readonly rule: string;
  readonly surface: SideName | undefined;
  /** Where on the side, mm from its trimmed corner; left out, it is about the whole file. */
  readonly where?: Rect | undefined;
}

/**
 * Which of our own rules look at what a rule of the house reads from the bytes. A rule of the house that stands for
 * none speaks of what no job of ours can be: a file without boxes, protected, with a script.
 */
export const SAME_MATTER: Readonly<Record<string, readonly string[]>> = {
  'bleed-small': ['bleed-narrow', 'bleed', 'page-bleed'],
  'stops-at-trim': ['bleed-narrow', 'bleed', 'page-bleed'],
  'type-near-trim': ['safe-area'],
  'fonts-missing': ['foreign-page', 'missing'],
  'picture-coarse': ['picture-resolution'],
  'line-thin': ['line-thin'],
  'type-small': ['type-small', 'type-distance'],
  'black-type': ['rich-black'],
  'ink-heavy': ['total-ink'],
  'white-overprints': ['white-overprints'],
  'blank-page': ['empty-page'],
  rgb: ['rgb-left', 'foreign-page'],
  spots: ['plate-names', 'near-inks'],
};

/** Our own findings that say what the house says, at the same place. */
export function findingsLike({ rule, surface, where }: HouseRemark, findings: readonly Finding[]): readonly Finding[] {
  const rules = SAME_MATTER[rule] ?? [];
  const same = findings.filter((f) => rules.includes(f.rule) && (surface === undefined || f.surface === surface));
  const there = where ? same.filter((f) => overlaps(f.where, where)) : same;
  return there.length > 0 ? there : same;
}

/** Of the frames of a side, the one that lies most nearly where the house points; undefined where none does. */
export function frameLike(where: Rect, frames: readonly Frame[]): Frame | undefined {
  const likeness = ({ bounds }: Frame): number => {
    const shared = areaOf(intersection(bounds, where));
    return shared / (areaOf(bounds) + areaOf(where) - shared);
  };
  return frames
    .filter(({ bounds }) => overlaps(bounds, where))
    .reduce<Frame | undefined>((best, f) => (best && likeness(best) >= likeness(f) ? best : f), undefined);
}
