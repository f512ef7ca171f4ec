import type { Edges, Job, Piece, ProfileName } from '../job';
import { MM_PER_INCH, type Mm } from '../measure';

/** A value that was computed, with where it came from and what the designer put in its place. */
export interface Ruled<T> {
  readonly value: T;
  readonly computed: T;
  readonly overridden: boolean;
  readonly rule: string;
}

/** Everything a piece is held to, resolved from the job, the house and the common rules. */
export interface Rules {
  readonly bleed: Ruled<Edges>;
  readonly safe: Ruled<Edges>;
  readonly ppi: Ruled<number>;
  readonly inkLimit: Ruled<number>;
  readonly minTypePt: Ruled<number>;
  readonly minReversedTypePt: Ruled<number>;
  readonly minLinePt: Ruled<number>;
  readonly markOffset: Ruled<Mm>;
  readonly profile: ProfileName;
}

/** Usual total ink limits by stock, %, the cautious end of the range [cp]. */
const INK_LIMITS = { coated: 300, uncoated: 280, newsprint: 240 } as const;

/** Smallest type, positive and reversed or in several inks, pt; thinnest line, pt [cp]. */
export const COMMON = { typePt: 6, reversedTypePt: 7, linePt: 0.25, ppiCeiling: 300, ppiFloor: 72 } as const;

/** Marks never stand closer to the trim than this, mm [cp]. */
export const LEAST_MARK_OFFSET = 3;

/**
 * Resolution that the eye can resolve at a distance: one arc-minute (20/20 acuity) is d × tan(1′),
 * so ppi = 25.4 ÷ (d × tan(1/60°)).
 * @param distance from the eye to the paper, mm
 */
export const eyePpi = (distance: Mm): number => MM_PER_INCH / (distance * Math.tan(Math.PI / 180 / 60));

/** The eye's resolution rounded up to the next 50, between the trade's floor and ceiling [cp]. */
export const neededPpi = (distance: Mm): number =>
  Math.min(COMMON.ppiCeiling, Math.max(COMMON.ppiFloor, Math.ceil(eyePpi(distance) / 50) * 50));

const ruled = <T>(computed: T, given: T | undefined, rule: string): Ruled<T> => ({
  value: given ?? computed,
  computed,
  overridden: given !== undefined,
  rule,
});

const all = (mm: Mm): Edges => ({ top: mm, right: mm, bottom: mm, left: mm });

const isImperial = (job: Job): boolean => job.unit === 'in' || job.unit === 'pt' || job.unit === 'pica';

/** The rules a piece is held to. */
export function rulesFor(job: Job, piece: Piece): Rules {
  const imperial = isImperial(job);
  const { house, stock, output } = job;
  const bleed = ruled(
    all(imperial ? MM_PER_INCH / 8 : 3),
    piece.bleed,
    imperial ? 'Common practice: 1/8 in all round' : 'Common practice: 3 mm all round',
  );
  const widest = Math.max(...Object.values(bleed.value));
  const leastOffset = Math.max(LEAST_MARK_OFFSET, widest);
  return {
    bleed,
    safe: ruled(
      all(imperial ? (3 * MM_PER_INCH) / 16 : 5),
      piece.safe,
      imperial ? 'Common practice: 3/16 in inside the trim' : 'Common practice: 5 mm inside the trim',
    ),
    ppi: ruled(
      neededPpi(job.readingDistance),
      job.ppi,
      'One arc-minute of sight, rounded up to 50; 300 is enough in hand (common practice)',
    ),
    inkLimit: ruled<number>(INK_LIMITS[stock.kind], house.inkLimit, `Common practice for ${stock.kind} stock`),
    minTypePt: ruled<number>(COMMON.typePt, house.minTypePt, 'Common practice: 5 to 6 pt positive'),
    minReversedTypePt: ruled<number>(
      COMMON.reversedTypePt,
      house.minReversedTypePt,
      'Common practice: 6 to 7 pt reversed or in several inks',
    ),
    minLinePt: ruled<number>(COMMON.linePt, house.minLinePt, 'Common practice: a hairline is 0.25 pt'),
    markOffset: {
      ...ruled(leastOffset, output.markOffset, 'Outside the bleed, at least 3 mm'),
      value: Math.max(leastOffset, output.markOffset ?? 0),
    },
    profile: output.profile ?? (stock.kind === 'coated' ? 'coated-fogra39' : 'uncoated-fogra29'),
  };
}

/** Whether the house rules are its own or the common ones. */
export const isHouseKnown = (job: Job): boolean => job.house.name.trim() !== '';
