import type { Point } from '../layout';
import type { Crease } from './fold';
import { NEAR } from './laid-facet';

/** Stretches that go on in one line, one way, by the same fold, as one. */
export function joinCreases(creases: readonly Crease[]): readonly Crease[] {
  const out: Crease[] = [];
  // Where a stretch of each fold and direction ends, by its end.
  const open = new Map<string, number>();
  for (const crease of creases) {
    const key = keyOf(crease, crease.from);
    const before = open.get(key);
    const found = before === undefined ? undefined : out[before];
    if (before !== undefined && found && isInLine(found, crease)) {
      open.delete(key);
      out[before] = { ...found, to: crease.to };
      open.set(keyOf(crease, crease.to), before);
    } else {
      out.push(crease);
      open.set(keyOf(crease, crease.to), out.length - 1);
    }
  }
  return out;
}

const keyOf = ({ step, direction }: Crease, { x, y }: Point): string =>
  `${step}/${direction}/${Math.round(x * 1e4)}/${Math.round(y * 1e4)}`;

const isInLine = (a: Crease, b: Crease): boolean =>
  (Math.abs(a.from.x - b.to.x) < NEAR && Math.abs(a.from.x - a.to.x) < NEAR) ||
  (Math.abs(a.from.y - b.to.y) < NEAR && Math.abs(a.from.y - a.to.y) < NEAR);
