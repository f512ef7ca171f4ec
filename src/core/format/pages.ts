import type { Mm } from '../measure';
import type { Size } from '../paper';
import type { ProcessLine, Zone } from './blank';
import type { SurfacePlan } from './format';
import { hole, mirrorLine, mirrorZone, zone } from './sides';

/** The number of a page by its name; undefined for a cover or a side. */
export function pageNumberOf(side: string): number | undefined {
  const n = /^page (\d+)$/.exec(side)?.[1];
  return n === undefined ? undefined : Number(n);
}

export const pageName = (n: number): string => `page ${n}`;

/** Even pages lie at the left of their spread: the first page is a right-hand one. */
export const isLeftPage = (side: string): boolean => (pageNumberOf(side) ?? 1) % 2 === 0;

/** The page beside one in an open book: 2 and 3, 4 and 5; the first has none. */
export function facingOf(side: string): string | undefined {
  const n = pageNumberOf(side);
  if (n === undefined || n === 1) return undefined;
  return pageName(n % 2 === 0 ? n + 1 : n - 1);
}

/**
 * Pages as single surfaces. The first is a right-hand page, so odd pages are bound at their left and even ones at
 * their right.
 * @param inner kept clear at the binding beyond the safe margin, mm
 */
export function pageSurfaces(
  size: Size,
  pages: number,
  inner: Mm,
  bound: { readonly processLines?: readonly ProcessLine[]; readonly zones?: readonly Zone[] } = {},
): readonly SurfacePlan[] {
  const lines = bound.processLines ?? [];
  const zones = bound.zones ?? [];
  const panels = [{ name: 'page', x: 0, y: 0, ...size }];
  const right = { panels, processLines: lines, zones, clear: { left: inner } };
  const left = {
    panels,
    processLines: lines.map((l) => mirrorLine(l, size.width)),
    zones: zones.map((z) => mirrorZone(z, size.width)),
    clear: { right: inner },
    isLeftPage: true,
  };
  /** The first lies alone, and so does a left-hand page at the end. */
  const [facedRight, facedLeft] = [
    { ...right, facing: 'left' as const },
    { ...left, facing: 'right' as const },
  ];
  const sortOf = (n: number) => {
    if (isLeftPage(pageName(n))) return n === pages ? left : facedLeft;
    return n === 1 ? right : facedRight;
  };
  return Array.from({ length: pages }, (_, i) => ({ name: pageName(i + 1), size, ...sortOf(i + 1) }));
}

/** Holes for a wire at the left edge, evenly at the pitch and centred, and the rim they need. */
export function wireBinding(
  height: Mm,
  depth: Mm,
  pitch: Mm,
): { processLines: readonly ProcessLine[]; zones: readonly Zone[]; count: number } {
  const count = Math.max(2, Math.floor((height - pitch) / pitch) + 1);
  const first = (height - (count - 1) * pitch) / 2;
  const rim = { x: 0, y: 0, width: depth, height };
  return {
    count,
    processLines: Array.from({ length: count }, (_, i) =>
      hole(depth / 2, first + i * pitch, Math.min(4, pitch * 0.47)),
    ),
    zones: [zone('keep-clear', 'wire binding', rim, 'The wire and its holes take this rim.')],
  };
}
