import { PROCESS, totalInk, type Build } from './build';

/** Some of a spot ink. */
export interface SpotTint {
  /** As its plate is called. */
  readonly name: string;
  /** Percent of dot area. */
  readonly tint: number;
  /** The build that shows it, solid, where it is not printed as itself. */
  readonly shown: Build;
}

/** What a colour lays on paper: process inks, and spot inks where it has any. */
export interface Laid {
  readonly build: Build;
  readonly spots?: readonly SpotTint[];
}

export const NO_INK: Build = { c: 0, m: 0, y: 0, k: 0 };

/** The build that shows a colour where its spots are not printed: their dot areas added, at most full. */
export function shownBuild({ build, spots = [] }: Laid): Build {
  if (spots.length === 0) return build;
  const added = (ink: (typeof PROCESS)[number]): number =>
    Math.min(
      100,
      spots.reduce((sum, { tint, shown }) => sum + (tint / 100) * shown[ink], build[ink]),
    );
  return { c: added('c'), m: added('m'), y: added('y'), k: added('k') };
}

/** All ink at a point, spots included, percent. */
export const totalLaid = ({ build, spots = [] }: Laid): number =>
  spots.reduce((sum, { tint }) => sum + tint, totalInk(build));

/** The plates that a colour prints on, process first. */
export const platesIn = ({ build, spots = [] }: Laid): readonly string[] => [
  ...PROCESS.filter((ink) => build[ink] > 0).map((ink) => PROCESS_PLATES[ink]),
  ...spots.filter(({ tint }) => tint > 0).map(({ name }) => name),
];

/** The process plates as press files name them (ISO 32000-1, 8.6.6.4). */
export const PROCESS_PLATES = { c: 'Cyan', m: 'Magenta', y: 'Yellow', k: 'Black' } as const;

/** A share of every ink. @param share 0 to 1 */
export const tinted = ({ build, spots }: Laid, share: number): Laid => ({
  build: { c: build.c * share, m: build.m * share, y: build.y * share, k: build.k * share },
  ...(spots && { spots: spots.map((s) => ({ ...s, tint: s.tint * share })) }),
});
