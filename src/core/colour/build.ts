/** Dot area of the four process inks, percent each. */
export interface Build {
  readonly c: number;
  readonly m: number;
  readonly y: number;
  readonly k: number;
}

export interface Rgb {
  readonly r: number;
  readonly g: number;
  readonly b: number;
}

export const PROCESS = ['c', 'm', 'y', 'k'] as const;

/** C + M + Y + K at a point, percent: 91/84/36/31 is 242. */
export const totalInk = (b: Build): number => b.c + b.m + b.y + b.k;

/** The inks that print something. */
export const inksIn = (b: Build): readonly (typeof PROCESS)[number][] => PROCESS.filter((ink) => b[ink] > 0);

export const isBlackOnly = (b: Build): boolean => b.k === 100 && totalInk(b) === 100;

/** In percent, without false digits: `91 84 36 31`. */
export const writeBuild = (b: Build): string => PROCESS.map((ink) => Math.round(b[ink])).join(' ');

/** `#1a2b3c` */
export const writeHex = ({ r, g, b }: Rgb): string =>
  `#${[r, g, b].map((n) => Math.round(n).toString(16).padStart(2, '0')).join('')}`;
