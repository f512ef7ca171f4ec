import { seededRandom } from '../chance';

/** The same list in another order, the same for the same seed (Fisher and Yates). */
export function shuffled<T>(list: readonly T[], seed: number): readonly T[] {
  const out = [...list];
  const random = seededRandom(seed);
  for (let i = out.length - 1; i > 0; i -= 1) {
    const j = Math.floor(random() * (i + 1));
    const [a, b] = [out[i], out[j]];
    if (a !== undefined && b !== undefined) [out[i], out[j]] = [b, a];
  }
  return out;
}
