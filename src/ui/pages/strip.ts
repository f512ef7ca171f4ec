import { facingOf, pageNumberOf } from '@/core/format';
import { sideOfBase, type Piece, type SideName } from '@/core/job';
import { movesOf, type PageRange } from '@/core/edit';

/** Pages that lie beside each other in the open book, in reading order; what is no page stands alone. */
export function spreadsOf(sides: readonly SideName[]): readonly (readonly SideName[])[] {
  const there = new Set(sides);
  return sides.flatMap((side): (readonly SideName[])[] => {
    const beside = facingOf(side);
    if (beside === undefined || !there.has(beside)) return [[side]];
    const n = pageNumberOf(side) ?? 0;
    return n % 2 === 0 ? [[side, beside]] : [];
  });
}

/** `4–7`, or `4` for one. */
export const rangeWords = ({ from, to }: PageRange): string => (from === to ? String(from) : `${from}–${to}`);

/** Reads `4-7`, `4–7` or `4`. */
export function readRange(text: string, count: number): PageRange | undefined {
  const match = /^\s*(\d+)\s*(?:[-–—]\s*(\d+)\s*)?$/.exec(text);
  if (!match) return undefined;
  const [a, b] = [Number(match[1]), Number(match[2] ?? match[1])];
  const range = { from: Math.min(a, b), to: Math.max(a, b) };
  return range.from >= 1 && range.to <= count ? range : undefined;
}

/** What moving pages does to their numbers, in words: `2–3 become 10–11; 4–11 become 2–9`. */
export function moveWords(range: PageRange, before: number, count: number): string {
  const moves = movesOf(range, before, count);
  if (moves.length === 0) return 'They stay where they are';
  const runs: { from: number; to: number; by: number }[] = [];
  for (const [was, is] of [...moves].sort((a, b) => a[0] - b[0])) {
    const last = runs.at(-1);
    if (last && last.to + 1 === was && last.by === is - was) last.to = was;
    else runs.push({ from: was, to: was, by: is - was });
  }
  const words = ({ from, to, by }: { from: number; to: number; by: number }) =>
    `${rangeWords({ from, to })} become${from === to ? 's' : ''} ${rangeWords({ from: from + by, to: to + by })}`;
  return runs.map(words).join('; ');
}

/** Base layouts, as sides to lay out. */
export const baseSides = (piece: Piece): readonly SideName[] => piece.bases.map((b) => sideOfBase(b.id));

export const sidesOfRange = ({ from, to }: PageRange): readonly SideName[] =>
  Array.from({ length: to - from + 1 }, (_, i) => `page ${from + i}`);
