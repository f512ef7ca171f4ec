import type { Mm } from '../measure';

/**
 * Sizes that fill a length: each has at least what it needs.
 * @param needs what each takes, mm; `null` in `open` where a size is fixed
 * @param how `even`: all open ones alike, as far as their needs allow; `content`: what is left is given in equal shares
 * @returns the needs themselves where there is nothing to give
 */
export function shareOut(
  needs: readonly Mm[],
  isOpen: readonly boolean[],
  length: Mm,
  how: 'even' | 'content',
): readonly Mm[] {
  const total = needs.reduce((sum, n) => sum + n, 0);
  const open = needs.flatMap((_, i) => (isOpen[i] ? [i] : []));
  const left = length - total;
  if (left <= 0 || open.length === 0) return needs;
  if (how === 'content') return needs.map((n, i) => (isOpen[i] ? n + left / open.length : n));
  // Those that need more than an even share keep their need; the others share what remains, until none needs more.
  let even = open;
  for (;;) {
    const taken = needs.reduce((sum, n, i) => (even.includes(i) ? sum : sum + n), 0);
    const share = (length - taken) / even.length;
    const smaller = even.filter((i) => (needs[i] ?? 0) <= share);
    if (smaller.length === even.length) return needs.map((n, i) => (even.includes(i) ? share : n));
    even = smaller;
  }
}
