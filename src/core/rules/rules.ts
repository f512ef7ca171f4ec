import type { Edges } from '../element';
import { MM_PER_INCH, type JobUnit, type Mm } from '../measure';
import {
  COMMON_CODES,
  PROCESSES,
  thicknessOf,
  type House,
  type LineCode,
  type Process,
  type ProfileKey,
  type SheetSize,
  type Stock,
  COATINGS,
  COATING_SHOWN,
  COMMON_COATINGS,
  MACHINES,
  usualFigures,
  type MachineFigures,
  type MachineKind,
  type Coating,
  type CoatingFacts,
} from '../shop';
import { USUAL, conversionKey, type Build, type Intent } from '../colour';

/** A value that was computed, with where it came from and what the designer put in its place. */
export interface Ruled<T> {
  readonly value: T;
  readonly computed: T;
  readonly overridden: boolean;
  readonly rule: string;
}

/** Everything a piece is held to, resolved from the job, the house, the kind of piece and common practice. */
/** How a coating is named, shown and made. */
export interface CoatingCode extends CoatingFacts {
  readonly shown: Build;
}

export interface Rules {
  readonly bleed: Ruled<Edges>;
  readonly safe: Ruled<Edges>;
  readonly ppi: Ruled<number>;
  readonly inkLimit: Ruled<number>;
  readonly minTypePt: Ruled<number>;
  readonly minReversedTypePt: Ruled<number>;
  readonly minLinePt: Ruled<number>;
  readonly markOffset: Ruled<Mm>;
  readonly profile: ProfileKey;
  /** Key of the way of colours to the press: see `conversionKey`. */
  readonly conversion: string;
  /** Caliper of one sheet, mm. */
  readonly thickness: Ruled<Mm>;
  readonly foldTolerance: Ruled<Mm>;
  readonly trimTolerance: Ruled<Mm>;
  /** How the house wants the panels of a folded piece to differ; undefined where it does not say. */
  readonly allowance: 'even' | 'shift' | 'thickness' | undefined;
  readonly lines: Readonly<Record<Process, LineCode>>;
  readonly coatings: Readonly<Record<Coating, CoatingCode>>;
  readonly lineWeightPt: Ruled<number>;
  /** The house’s, or those that the paper comes in, or common ones. */
  readonly sheets: readonly SheetSize[];
  /** Pictures with fewer pixels to the inch than this are refused; undefined where the house does not say. */
  readonly minPpi: number | undefined;
  /** More pixels to the inch than this are of no use to the house; undefined where it does not say. */
  readonly maxPpi: number | undefined;
  readonly unprintable: Ruled<Mm>;
  /** What each machine is off by. */
  readonly machines: Readonly<Record<MachineKind, Ruled<MachineFigures>>>;
  /** The house by name; undefined when the job has none and common practice stands in. */
  readonly house: string | undefined;
}

/** What a kind of piece usually has, where it differs from the rest. */
export interface Usual {
  readonly bleed?: Mm;
  readonly safe?: Mm;
  /** From which it is looked at, mm. */
  readonly distance?: Mm;
  readonly why: string;
}

/** The decisions that rules follow from. */
export interface RulesInput {
  readonly unit: JobUnit;
  readonly house: House;
  readonly stock: Stock;
  readonly readingDistance: Mm;
  readonly ppi?: number | undefined;
  readonly bleed?: Edges | undefined;
  readonly safe?: Edges | undefined;
  readonly markOffset?: Mm | undefined;
  readonly profile?: ProfileKey | undefined;
  readonly intent?: Intent | undefined;
  readonly ownBlack?: true | undefined;
  readonly usual?: Usual | undefined;
}

/** Usual total ink limits by stock, %, the cautious end of the range [cp]. */
const INK_LIMITS = { coated: 300, uncoated: 280, newsprint: 240 } as const;

/** Smallest type, positive and reversed or in several inks, pt; thinnest line, pt [cp]. */
export const COMMON = {
  typePt: 6,
  reversedTypePt: 7,
  linePt: 0.25,
  ppiCeiling: 300,
  ppiFloor: 72,
  foldTolerance: 1,
  trimTolerance: 1,
  unprintable: 5,
  processLinePt: 0.25,
} as const;

/** Sheets that most houses run, where the job has no house [cp]. */
const COMMON_SHEETS: Readonly<Record<'metric' | 'imperial', readonly SheetSize[]>> = {
  metric: [
    { name: 'A4', width: 210, height: 297 },
    { name: 'A3', width: 297, height: 420 },
    { name: 'SRA3', width: 320, height: 450 },
    { name: '720 × 1020', width: 720, height: 1020 },
  ],
  imperial: [
    { name: 'Letter', width: 215.9, height: 279.4 },
    { name: 'Tabloid', width: 279.4, height: 431.8 },
    { name: '12 × 18 in', width: 304.8, height: 457.2 },
    { name: '28 × 40 in', width: 711.2, height: 1016 },
  ],
};

/** Marks never stand closer to the trim than this, mm [cp]. */
export const LEAST_MARK_OFFSET = 3;

/** Length of a mark, mm [cp]. */
export const MARK_LENGTH = 5;

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

/** What the house asks for, or else common practice, each saying so. */
function housed<T>(house: House, asked: T | undefined, common: T, rule: string, given?: T): Ruled<T> {
  return asked === undefined
    ? ruled(common, given, rule)
    : ruled(asked, given, `${house.name || 'The house'} asks for it`);
}

/** Where a job without a named house holds a wish, the designer set it by hand. */
const wished = (house: House, asked: number | undefined, common: number, rule: string): Ruled<number> =>
  house.name.trim() === '' ? ruled(common, asked, rule) : housed(house, asked, common, rule);

const all = (mm: Mm): Edges => ({ top: mm, right: mm, bottom: mm, left: mm });

export const isImperial = (unit: JobUnit): boolean => unit === 'in' || unit === 'pt' || unit === 'pica';

/** The rules that decisions lead to. */
export function resolveRules(input: RulesInput): Rules {
  const { house, stock, usual } = input;
  const imperial = isImperial(input.unit);
  const usually = (mm: Mm | undefined, common: Mm, rule: string) =>
    mm === undefined ? { mm: all(common), rule } : { mm: all(mm), rule: `Common practice: ${usual?.why ?? ''}` };
  const bleedHabit = usually(
    usual?.bleed,
    imperial ? MM_PER_INCH / 8 : 3,
    imperial ? 'Common practice: 1/8 in all round' : 'Common practice: 3 mm all round',
  );
  const safeHabit = usually(
    usual?.safe,
    imperial ? (3 * MM_PER_INCH) / 16 : 5,
    imperial ? 'Common practice: 3/16 in inside the trim' : 'Common practice: 5 mm inside the trim',
  );
  const bleed = housed(house, house.bleed, bleedHabit.mm, bleedHabit.rule, input.bleed);
  const widest = Math.max(...Object.values(bleed.value));
  const leastOffset = Math.max(LEAST_MARK_OFFSET, widest, house.markOffset ?? 0);
  const thickness = thicknessOf(stock);
  const profile = input.profile ?? house.profile ?? (stock.kind === 'coated' ? 'coated-fogra39' : 'uncoated-fogra29');
  const lines = Object.fromEntries(
    PROCESSES.map((process) => [process, { ...COMMON_CODES[process], ...definedOf(house.lines[process]) }]),
  ) as Record<Process, LineCode>;
  const coatings = Object.fromEntries(
    COATINGS.map((coating) => [
      coating,
      { shown: COATING_SHOWN[coating], ...COMMON_COATINGS[coating], ...definedOf(house.coatings?.[coating]) },
    ]),
  ) as Record<Coating, CoatingCode>;
  const foldTolerance = housed(
    house,
    house.foldTolerance,
    COMMON.foldTolerance,
    'Common practice: 0.5 to 1.5 mm by machine',
  );
  const trimTolerance = housed(
    house,
    house.trimTolerance,
    COMMON.trimTolerance,
    'Common practice: the knife wanders by 1 mm',
  );
  return {
    bleed,
    safe: housed(house, house.safe, safeHabit.mm, safeHabit.rule, input.safe),
    ppi: ruled(
      neededPpi(input.readingDistance),
      input.ppi,
      'One arc-minute of sight, rounded up to 50; 300 is enough in hand (common practice)',
    ),
    inkLimit: wished(house, house.inkLimit, INK_LIMITS[stock.kind], `Common practice for ${stock.kind} stock`),
    minTypePt: wished(house, house.minTypePt, COMMON.typePt, 'Common practice: 5 to 6 pt positive'),
    minReversedTypePt: wished(
      house,
      house.minReversedTypePt,
      COMMON.reversedTypePt,
      'Common practice: 6 to 7 pt reversed or in several inks',
    ),
    minLinePt: wished(house, house.minLinePt, COMMON.linePt, 'Common practice: a hairline is 0.25 pt'),
    markOffset: {
      ...ruled(leastOffset, input.markOffset, 'Outside the bleed, at least 3 mm'),
      value: Math.max(leastOffset, input.markOffset ?? 0),
    },
    profile,
    conversion: conversionKey({ profile, intent: input.intent ?? USUAL.intent, blackPoint: input.ownBlack !== true }),
    thickness: ruled(thickness.mm, undefined, thickness.rule),
    foldTolerance,
    trimTolerance,
    machines: machinesOf(house, { guillotine: trimTolerance, folder: foldTolerance }),
    allowance: house.allowance,
    lines,
    coatings,
    lineWeightPt: housed(house, house.lineWeightPt, COMMON.processLinePt, 'Common practice: 0.25 pt, at most 1 pt'),
    sheets:
      house.sheets.length > 0
        ? house.sheets
        : stock.sheets.length > 0
          ? stock.sheets
          : COMMON_SHEETS[imperial ? 'imperial' : 'metric'],
    minPpi: house.minPpi,
    maxPpi: house.maxPpi,
    unprintable: housed(
      house,
      house.unprintable,
      COMMON.unprintable,
      'Common practice: 5 mm of a sheet is for the grippers',
    ),
    house: house.name.trim() === '' ? undefined : house.name,
  };
}

/** The machines of a house: what it says of them, and common practice for the rest. */
function machinesOf(house: House, wanders: { readonly guillotine: Ruled<Mm>; readonly folder: Ruled<Mm> }) {
  const machines = MACHINES.map((kind): [MachineKind, Ruled<MachineFigures>] => {
    const usual = usualFigures(kind, house.press ?? 'offset');
    const own = definedOf(house.machines?.[kind]);
    const wander = kind === 'guillotine' || kind === 'folder' ? wanders[kind] : undefined;
    const figures = { ...usual, ...(wander && { drift: wander.value }), ...own };
    const isOwn = Object.keys(own).length > 0;
    return [
      kind,
      isOwn
        ? ruled(figures, undefined, `${house.name || 'The house'} says so`)
        : ruled(figures, undefined, wander?.rule ?? 'Common practice'),
    ];
  });
  return Object.fromEntries(machines) as Record<MachineKind, Ruled<MachineFigures>>;
}

/** The wishes that were made, without those left open. */
const definedOf = (wishes: object | undefined): object =>
  Object.fromEntries(Object.entries(wishes ?? {}).filter(([, value]) => value !== undefined));
