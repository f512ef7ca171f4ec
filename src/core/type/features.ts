import type { CharacterLook } from '../element';

const FIGURES: Readonly<Record<CharacterLook['figures'], string | undefined>> = {
  usual: undefined,
  lining: 'lnum',
  'old-style': 'onum',
};
const WIDTHS: Readonly<Record<CharacterLook['figureWidth'], string | undefined>> = {
  usual: undefined,
  tabular: 'tnum',
  proportional: 'pnum',
};

const NO_LIGATURES = ['-liga', '-clig'];

/**
 * OpenType features that a look asks for (tags by the OpenType registry). Ligatures are off when letters are spaced,
 * as in metal.
 */
export function featuresOf(look: CharacterLook, smallCaps: boolean): readonly string[] {
  const ligatures =
    look.ligatures === 'none' || look.tracking !== 0 ? NO_LIGATURES : look.ligatures === 'all' ? ['dlig'] : [];
  return [
    ...(look.kerning ? [] : ['-kern']),
    ...ligatures,
    ...[FIGURES[look.figures], WIDTHS[look.figureWidth]].filter((tag) => tag !== undefined),
    ...(smallCaps ? ['smcp'] : []),
  ];
}

/** Features of a look that a font cannot give: they must be said, or nobody sees them missing. */
export const askedFeatures = (look: CharacterLook): readonly string[] =>
  [FIGURES[look.figures], WIDTHS[look.figureWidth], look.ligatures === 'all' ? 'dlig' : undefined].filter(
    (tag) => tag !== undefined,
  );
