import type { EdgeName, Rect } from '../geometry';
import type { Mm } from '../measure';
import type { Size } from '../paper';
import { SAME, type Layout, type LaidPiece, type Way } from './guillotine';

/** One stroke of the knife. */
export interface Cut {
  /** From 1, in the order in which they are made. */
  readonly number: number;
  /** What lies beneath the knife: the sheet is pile 0, every strip that a cut frees gets the next number. */
  readonly pile: number;
  /** What of the sheet the pile is before the cut, mm. */
  readonly lies: Rect;
  /** Which of its edges is laid against the gauge. */
  readonly edge: EdgeName;
  /** By how much it is turned before it is laid against the gauge, clockwise, degrees. */
  readonly turn: 0 | 90 | 180 | 270;
  /** From the back gauge to the knife, mm: so much stays behind it. */
  readonly gauge: Mm;
  /** What falls in front of the knife: off, or a pile of its own. */
  readonly front: { readonly is: 'off'; readonly width: Mm } | { readonly is: 'pile'; readonly number: number };
}

export interface Programme {
  readonly cuts: readonly Cut[];
  /** Which pile is which piece at the end. */
  readonly pieces: readonly { readonly pile: number; readonly piece: LaidPiece }[];
}

/** How often a pile is turned clockwise by a quarter until an edge lies at the gauge, which is behind it. */
const QUARTERS: Readonly<Record<EdgeName, number>> = { top: 0, left: 1, bottom: 2, right: 3 };

/** A pile as it lies there: what of the sheet it is, and how it is turned. */
interface Pile {
  readonly number: number;
  rect: Rect;
  /** Quarters, clockwise. */
  turned: number;
}

/**
 * The cuts that part a sheet as a layout says, in their order. Each rectangle is first trimmed along one edge, which
 * then lies against the gauge for all further cuts of that direction: what is measured is measured from a clean edge.
 */
export function cuttingProgramme(sheet: Size, layout: Layout): Programme {
  const cuts: Cut[] = [];
  const pieces: { pile: number; piece: LaidPiece }[] = [];
  let piles = 0;

  const cut = (pile: Pile, gaugeEdge: EdgeName, at: Mm, keepsFront: boolean): Pile | undefined => {
    const turn = (((QUARTERS[gaugeEdge] - pile.turned) % 4) + 4) % 4;
    pile.turned = (pile.turned + turn) % 4;
    const { rect } = pile;
    const [behind, front] = cutFrom(rect, gaugeEdge, at);
    const fallen = keepsFront ? { number: (piles += 1), rect: front, turned: pile.turned } : undefined;
    const width = gaugeEdge === 'left' || gaugeEdge === 'right' ? front.width : front.height;
    cuts.push({
      number: cuts.length + 1,
      pile: pile.number,
      lies: rect,
      edge: gaugeEdge,
      turn: (turn * 90) as Cut['turn'],
      gauge: at,
      front: fallen ? { is: 'pile', number: fallen.number } : { is: 'off', width },
    });
    pile.rect = behind;
    return fallen;
  };

  /** Cuts a pile down to a rectangle within it. */
  const trim = (pile: Pile, to: Rect): void => {
    const length = (edge: EdgeName) => (edge === 'left' || edge === 'right' ? pile.rect.width : pile.rect.height);
    const off = (edge: EdgeName): Mm => {
      const { x, y, width, height } = pile.rect;
      switch (edge) {
        case 'left':
          return to.x - x;
        case 'top':
          return to.y - y;
        case 'right':
          return x + width - to.x - to.width;
        case 'bottom':
          return y + height - to.y - to.height;
      }
    };
    // The edge across from the gauge falls off.
    for (const [edge, gauge] of [
      ['left', 'right'],
      ['right', 'left'],
      ['top', 'bottom'],
      ['bottom', 'top'],
    ] as const)
      if (off(edge) > SAME) cut(pile, gauge, length(edge) - off(edge), false);
  };

  const part = (pile: Pile, of: Layout): void => {
    switch (of.is) {
      case 'waste':
        return;
      case 'piece': {
        trim(pile, of.rect);
        const piece = { rect: of.rect, kind: of.kind, isTurned: of.isTurned };
        pieces.push({ pile: pile.number, piece });
        return;
      }
      case 'cut': {
        const strips = of.parts.filter(({ is }) => is !== 'waste');
        const [first] = strips;
        if (!first) return;
        const [near, far]: readonly [EdgeName, EdgeName] = of.way === 'upright' ? ['left', 'right'] : ['top', 'bottom'];
        const from = startOf(pile.rect, of.way);
        const size = sizeAlong(pile.rect, of.way);
        // A clean edge to measure from.
        const rim = startOf(first.rect, of.way) - from;
        if (rim > SAME) cut(pile, far, size - rim, false);
        const begin = startOf(pile.rect, of.way);
        const freed: [Pile, Layout][] = [];
        for (const strip of [...strips].reverse()) {
          const start = startOf(strip.rect, of.way) - begin;
          const end = start + sizeAlong(strip.rect, of.way);
          if (sizeAlong(pile.rect, of.way) - end > SAME) cut(pile, near, end, false);
          if (start > SAME) {
            const fallen = cut(pile, near, start, true);
            if (fallen) freed.push([fallen, strip]);
          } else freed.push([pile, strip]);
        }
        for (const [piled, strip] of freed.reverse()) part(piled, strip);
      }
    }
  };
  part({ number: 0, rect: { x: 0, y: 0, ...sheet }, turned: 0 }, layout);
  return { cuts, pieces };
}

const startOf = (rect: Rect, way: Way): Mm => (way === 'upright' ? rect.x : rect.y);
const sizeAlong = (rect: Rect, way: Way): Mm => (way === 'upright' ? rect.width : rect.height);

/** What stays between gauge and knife, and what lies in front of it. */
function cutFrom({ x, y, width, height }: Rect, gauge: EdgeName, at: Mm): readonly [Rect, Rect] {
  switch (gauge) {
    case 'left':
      return [
        { x, y, width: at, height },
        { x: x + at, y, width: width - at, height },
      ];
    case 'right':
      return [
        { x: x + width - at, y, width: at, height },
        { x, y, width: width - at, height },
      ];
    case 'top':
      return [
        { x, y, width, height: at },
        { x, y: y + at, width, height: height - at },
      ];
    case 'bottom':
      return [
        { x, y: y + height - at, width, height: at },
        { x, y, width, height: height - at },
      ];
  }
}
