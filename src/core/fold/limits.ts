import type { Stock } from '../shop';
import type { Mm } from '../measure';

/** From this weight on a fold cracks unless it is scored first, g/m² [cp]. */
export const SCORE_FROM = 170;

/** How often a sheet can be folded at right angles, by weight [cp]. */
const RIGHT_ANGLE_FOLDS: readonly (readonly [upTo: number, folds: number])[] = [
  [65, 5],
  [100, 4],
  [150, 3],
  [220, 2],
];

export const rightAngleFoldsFor = (grammage: number): number =>
  RIGHT_ANGLE_FOLDS.find(([upTo]) => grammage <= upTo)?.[1] ?? 1;

export interface FoldWarning {
  readonly kind: 'score' | 'right-angles' | 'thick' | 'grain';
  readonly message: string;
}

/** A folded piece thicker than this springs open, mm [cp]. */
const THICKEST: Mm = 4;

/**
 * What the paper will not take.
 * @param turns how often the direction of folding changes, plus one
 * @param along whether most creases run along the width or the height of the sheet
 */
export function paperWarnings(
  stock: Stock,
  facts: {
    readonly scored: boolean;
    readonly directions: number;
    readonly thickness: Mm;
    readonly creases: 'upright' | 'level';
    readonly flat: { readonly width: Mm; readonly height: Mm };
  },
): readonly FoldWarning[] {
  const found: FoldWarning[] = [];
  const { grammage } = stock;
  if (grammage !== null && grammage >= SCORE_FROM && !facts.scored) {
    const message =
      `${grammage} g/m² cracks in the fold unless it is scored first (from ${SCORE_FROM} g/m²). Set the ` +
      'creases to score.';
    found.push({ kind: 'score', message });
  }
  if (grammage !== null && facts.directions > rightAngleFoldsFor(grammage)) {
    const message =
      `${grammage} g/m² takes ${rightAngleFoldsFor(grammage)} right-angle folds; this has ${facts.directions}. ` +
      'Take a lighter paper or fewer folds.';
    found.push({ kind: 'right-angles', message });
  }
  if (facts.thickness > THICKEST) {
    const thick = facts.thickness.toFixed(1);
    const message = `Folded it is ${thick} mm thick and springs open. Take a thinner paper or fewer folds.`;
    found.push({ kind: 'thick', message });
  }
  if (stock.grain !== null) {
    const longIsUpright = facts.flat.height >= facts.flat.width;
    const grain = (stock.grain === 'long') === longIsUpright ? 'upright' : 'level';
    if (grain !== facts.creases) {
      const message =
        `The creases run ${facts.creases}, the grain ${grain}: folded against the grain paper cracks and ` +
        `springs. Ask for ${stock.grain === 'long' ? 'short' : 'long'}-grain sheets, or turn the piece on the ` +
        'sheet.';
      found.push({ kind: 'grain', message });
    }
  }
  return found;
}
