import { edgeAt, edgeMiddles, type Copy, type DriftSide } from '@/core/drift';
import { EDGE_NAMES } from '@/core/layout';

/** What is less is not said, mm [own]. */
const LEAST = 0.05;

/** What the machines were off by on a copy, in words. @param write a length, mm as drawn */
export function offWords(side: DriftSide, copy: Copy, write: (mm: number) => string): string {
  const middles = edgeMiddles(side.trim);
  const edges = EDGE_NAMES.flatMap((edge) => {
    const off = edgeAt(copy, edge, side.trim, middles[edge], side.isBack);
    return Math.abs(off) < LEAST ? [] : [`${edge} ${write(Math.abs(off))} ${off > 0 ? 'too much' : 'too little'}`];
  });
  const folds = copy.folds.flatMap((off, i) =>
    Math.abs(off) < LEAST ? [] : [`fold ${i + 1} ${write(Math.abs(off))} off`],
  );
  const passes = copy.passes.flatMap(({ x, y }) => {
    const off = Math.hypot(x, y);
    return off < LEAST ? [] : [`second pass ${write(off)} beside the print`];
  });
  const holed = Math.hypot(copy.holes.x, copy.holes.y);
  const holes = holed < LEAST ? [] : [`holes ${write(holed)} off`];
  const words = [...edges, ...folds, ...passes, ...holes];
  return words.length === 0 ? 'As it was meant.' : `${words.join(' · ')}.`;
}
