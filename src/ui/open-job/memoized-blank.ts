import type { Blank } from '@/core/format';
import { blankOf, rulesFor, type Job, type Piece } from '@/core/job';
import type { Rules } from '@/core/rules';

interface BlankAndRules {
  readonly rules: Rules;
  readonly blank: Blank;
}

/** What the artwork is: nothing of the blank or the rules is made from it. */
const ARTWORK: readonly string[] = [
  'surfaces',
  'bases',
  'layouts',
  'numbering',
  'layers',
  'groups',
  'grids',
  'guides',
  'baselineGrid',
];
const REST: readonly string[] = ['pieces', 'assets', 'styles', 'stage', 'notes', 'client', 'due', 'quantity'];

const without = (record: object, keys: readonly string[]) =>
  Object.entries(record).filter(([key]) => !keys.includes(key));

/**
 * Rules and blank of a piece, the same ones as before while what they are made of is the same: a change of the artwork
 * leaves every figure of the sheet as it is, and whoever shows them need not show them again.
 */
export function memoizedBlank(): (job: Job, piece: Piece) => BlankAndRules {
  let before: { readonly made: readonly (readonly [string, unknown])[]; readonly ground: BlankAndRules } | undefined;
  return (job, piece) => {
    const made = [...without(job, REST), ...without(piece, ARTWORK)];
    const isSame =
      before?.made.length === made.length &&
      made.every(([key, value], i) => before?.made[i]?.[0] === key && before.made[i][1] === value);
    if (before && isSame) return before.ground;
    const ground = { rules: rulesFor(job, piece), blank: blankOf(job, piece) };
    before = { made, ground };
    return ground;
  };
}
