import type { Symbology } from './symbology';

/** A sign beneath bars, and the middle of its place, modules from where the first bar begins. */
export interface SignBeneath {
  readonly sign: string;
  readonly middle: number;
}

/** What stands beneath bars for people. */
export interface Beneath {
  readonly signs: readonly SignBeneath[];
  /** Bars that reach down between the signs: from and to, modules. */
  readonly guards: readonly (readonly [from: number, to: number])[];
}

/** How far guards reach down beyond the other bars, modules (GS1 General Specifications, 5.2, from memory). */
export const GUARD_REACH = 5;

/** Each digit of a retail code is seven modules wide (ISO/IEC 15420). */
const DIGIT = 7;
/** The first digit of EAN-13, and the outer ones of UPC-A, stand beside the bars; so far from them [own]. */
const BESIDE = 6;

/** Digits one beneath each pattern that says it. @param from module where the first pattern begins */
const row = (digits: string, from: number): readonly SignBeneath[] =>
  Array.from(digits, (sign, i) => ({ sign, middle: from + (i + 0.5) * DIGIT }));

/**
 * Where the words of a code stand beneath its bars.
 * @param wide    how wide the bars are together, modules
 * @param advance how wide a sign is, modules
 */
export function beneath(symbology: Symbology, words: string, wide: number, advance: number): Beneath {
  switch (symbology) {
    case 'ean-13':
      return {
        signs: [{ sign: words.slice(0, 1), middle: -BESIDE }, ...row(words.slice(1, 7), 3), ...row(words.slice(7), 50)],
        guards: [
          [0, 3],
          [45, 50],
          [92, 95],
        ],
      };
    case 'ean-8':
      return {
        signs: [...row(words.slice(0, 4), 3), ...row(words.slice(4), 36)],
        guards: [
          [0, 3],
          [31, 36],
          [64, 67],
        ],
      };
    case 'upc-a':
      return {
        signs: [
          { sign: words.slice(0, 1), middle: -BESIDE },
          ...row(words.slice(1, 6), 3 + DIGIT),
          ...row(words.slice(6, 11), 50),
          { sign: words.slice(11), middle: 95 + BESIDE },
        ],
        // The first and the last digit are guards too.
        guards: [
          [0, 3 + DIGIT],
          [45, 50],
          [85, 95],
        ],
      };
    default: {
      const signs = Array.from(words);
      const from = (wide - signs.length * advance) / 2;
      return { signs: signs.map((sign, i) => ({ sign, middle: from + (i + 0.5) * advance })), guards: [] };
    }
  }
}
