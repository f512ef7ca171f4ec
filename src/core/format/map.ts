import { mapFolds } from '../fold';
import { defineFormat } from './format';
import { creaseParameter, foldedSheet } from './folded-sheet';
import { Impossible, choice, count, size } from '../parameter';

/** Most sheets that lie on each other in a folded map [cp]. */
const MOST_PARTS = 64;

export const map = defineFormat({
  kind: 'map',
  title: 'Map or folded poster',
  about: 'A large sheet folded in a grid, the cover on top.',
  group: 'folded',
  parameters: {
    size: size('Flat size', ['A2', '24 x 36 in'], 'Opened out; width x height, or a paper name.'),
    across: count('Parts across', '4', 'Columns between folds.', 1, 12),
    down: count('Parts down', '2', 'Rows between folds.', 1, 12),
    first: choice('First fold', 'across', 'Which way it is folded first.', {
      across: 'across the width',
      down: 'down the height',
    }),
    crease: creaseParameter,
  },
  plan: (d, context) => {
    const { width, height } = d.size;
    if (d.across * d.down > MOST_PARTS) {
      const fewer = Math.floor(MOST_PARTS / d.across);
      throw new Impossible(
        'down',
        `${d.across} × ${d.down} parts lie ${d.across * d.down} sheets thick; nobody folds more than ` +
          `${MOST_PARTS}. At most ${fewer} down with ${d.across} across.`,
      );
    }
    const { write } = context;
    const words = (whole: number, n: number) =>
      n > 1
        ? `folds at ${Array.from({ length: n - 1 }, (_, i) => write((whole * (i + 1)) / n)).join(', ')}`
        : 'no fold';
    return foldedSheet(
      {
        flat: d.size,
        columns: Array.from({ length: d.across }, () => width / d.across),
        rows: Array.from({ length: d.down }, () => height / d.down),
        folds: mapFolds(d.across, d.down, d.first),
        working: [`across: ${words(width, d.across)}`, `down: ${words(height, d.down)}`],
        rule: 'Equal parts: folds at W × i ÷ n and H × j ÷ m',
        crease: d.crease,
        parameter: 'size',
      },
      context,
    );
  },
});
