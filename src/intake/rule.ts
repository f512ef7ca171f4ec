import { overlaps, type Rect } from '../core/geometry';
import { MM_PER_INCH, formatNumber } from '../core/measure';
import type { House } from '../core/shop';
import type { PageFacts, Painted, ReadFile } from './painted';

/** `fault`: sent back. `warning`: taken with a remark. `note`: good to know. */
export type Weight = 'fault' | 'warning' | 'note';

/** What the file is held to. */
export interface Intake {
  readonly file: ReadFile;
  readonly house: House;
  /** What was ordered, where that is known. */
  readonly order: Order;
}

export interface Order {
  readonly pages?: number | undefined;
  /** Finished size of each side in turn, mm; those that are not named are as the first. */
  readonly sizes?: readonly { readonly width: number; readonly height: number }[] | undefined;
  /** Bleed that was agreed, mm; left out, what the house asks of everybody. */
  readonly bleed?: number | undefined;
}

/** What a rule found on a page; the rest is added to it. */
export interface Found {
  readonly weight: Weight;
  /** From 1; left out where it is about the whole file. */
  readonly page?: number;
  /** Where, points on the page, y up. */
  readonly box?: Rect;
  readonly found: string;
  /** In how many places of the page; left out, in one. */
  readonly count?: number;
}

/** One thing that a house looks at. */
export interface IntakeRule {
  readonly id: string;
  readonly title: string;
  /** What the house wants instead. */
  readonly wish: (house: House) => string;
  readonly look: (intake: Intake) => readonly Found[];
}

const MM_PER_PT = MM_PER_INCH / 72;
export const mmOf = (pt: number): number => pt * MM_PER_PT;

/** A length in points, in words. */
export const inMm = (pt: number): string => `${formatNumber(mmOf(pt), 2)} mm`;

/** The trimmed page; where the file does not say, the page itself. */
export const trimOf = ({ trim, media }: PageFacts): Rect => trim ?? media;

/** The bleed that a house wants, points. */
export const wantedBleed = (house: House): number => (house.bleed?.top ?? 3) / MM_PER_PT;

/** What is painted of some kinds on the piece itself: marks and notes beside it are no part of it. */
export const paintedOf = <K extends Painted['kind']>(
  file: ReadFile,
  ...kinds: readonly K[]
): readonly Extract<Painted, { kind: K }>[] =>
  onPiece(file).filter((p): p is Extract<Painted, { kind: K }> => (kinds as readonly string[]).includes(p.kind));

/** Names that differ only in capitals, spaces or dashes are one ink in two spellings. */
export const plainInk = (ink: string): string => ink.toLowerCase().replace(/[\s_-]+/g, '');

/** What is painted on the piece or in its bleed. */
export const onPiece = ({ painted, pages }: ReadFile): readonly Painted[] =>
  painted.filter(({ page, box }) => {
    const facts = pages[page - 1];
    return facts !== undefined && overlaps(box, facts.bleed ?? trimOf(facts));
  });

/** One remark a page: of the first thing found there, and of how many there are. */
export function perPage<P extends Painted>(
  things: readonly P[],
  remark: (first: P) => Pick<Found, 'weight' | 'found'>,
): readonly Found[] {
  const pages = new Map<number, P[]>();
  for (const thing of things) pages.set(thing.page, [...(pages.get(thing.page) ?? []), thing]);
  return [...pages].flatMap(([page, list]) => {
    const [first] = list;
    return first ? [{ page, box: first.box, count: list.length, ...remark(first) }] : [];
  });
}
