import { foldFlat, type Fold, type Folding } from '../fold';
import { signaturePlaces, type HalfFold, type SignatureScheme } from '../impose';
import { cornersOf } from '../layout';
import type { Mm } from '../measure';
import type { Size } from '../paper';

/** What a folder does, by where its crease runs and which half it lifts; the inner form lies up. */
const WORDS: Readonly<Record<HalfFold['crease'], Readonly<Record<HalfFold['over'], string>>>> = {
  upright: { low: 'left half over to the right', high: 'right half over to the left' },
  level: { low: 'upper half down over the lower', high: 'lower half up over the upper' },
};

/** The folds of a signature for the simulation of the folder: each halves what is left of its direction. */
function foldsOf({ across, down, folds }: SignatureScheme): readonly Fold[] {
  const left = { x: { from: 0, to: across }, y: { from: 0, to: down } };
  return folds.map(({ crease, over }): Fold => {
    const axis = crease === 'upright' ? 'x' : 'y';
    const { from, to } = left[axis];
    const middle = (from + to) / 2;
    left[axis] = over === 'low' ? { from: middle, to } : { from, to: middle };
    return { axis, crease: middle, moves: over, over: 'up', name: WORDS[crease][over] };
  });
}

/** A printed signature as it comes to the folder. */
export interface PrintedSignature {
  readonly scheme: SignatureScheme;
  /** Page of the book at each page of the signature, from 1. */
  readonly pages: readonly number[];
  readonly sheet: Size;
  /** mm on the outer form: upright at x, level at y. */
  readonly creases: { readonly x: readonly Mm[]; readonly y: readonly Mm[] };
}

/** A page as one comes to it, leafing through a folded signature. */
export interface ReadPage {
  readonly page: number;
  /** It stands on its head then. */
  readonly isTurned: boolean;
}

/** How a signature folds, and what is read in it once it is folded. */
export interface FoldedSignature {
  readonly folding: Folding;
  readonly size: Size;
  readonly read: readonly ReadPage[];
}

/** Folds a printed sheet by the simulation of the folder: the whole of it, as it comes, with what is cut off later. */
export function foldSignature({ scheme, pages, sheet, creases }: PrintedSignature): FoldedSignature {
  const mirrored = creases.x.map((x) => sheet.width - x).reverse();
  const folded = foldFlat(between(mirrored, sheet.width), between(creases.y, sheet.height), foldsOf(scheme), 0);
  const places = signaturePlaces(scheme);
  const leaves = folded.facets.map(({ column, row, rect }, i) => {
    const printed = (form: 'inner' | 'outer'): ReadPage & { readonly number: number } => {
      const across = form === 'inner' ? column : scheme.across - 1 - column;
      const place = places.find((p) => p.form === form && p.row === row && p.column === across);
      const number = place?.page ?? 0;
      return { number, page: pages[number - 1] ?? 0, isTurned: place?.isTurned ?? false };
    };
    const state = folded.states[i] ?? { sx: 1, sy: 1, layer: 0 };
    return { rect, state, inner: printed('inner'), outer: printed('outer') };
  });
  const read = [...leaves]
    .sort((a, b) => b.state.layer - a.state.layer)
    .flatMap(({ state: { sx, sy }, inner, outer }) =>
      (sx * sy === 1 ? [inner, outer] : [outer, inner]).map(
        // What stands on its head on the sheet stands upright once its leaf was turned.
        ({ page, isTurned }): ReadPage => ({ page, isTurned: isTurned !== (sy === -1) }),
      ),
    );
  return {
    folding: {
      up: 'inner',
      down: 'outer',
      parts: leaves.map(({ rect, inner, outer }) => {
        const [low, high] = [inner.page, outer.page].sort((a, b) => a - b);
        return { name: `pages ${low} and ${high}`, outline: cornersOf(rect) };
      }),
      steps: folded.steps,
      collisions: folded.collisions,
    },
    size: folded.size,
    read,
  };
}

/** Lengths between places along an edge. @param at from its start, in order, mm */
const between = (at: readonly Mm[], whole: Mm): readonly Mm[] => [...at, whole].map((to, i) => to - (at[i - 1] ?? 0));
