import { isBlackOnly, type ColourEngine } from '../colour';
import type { Ink } from '../drawing';
import type { Paint } from '../element';

/** What a paint lays on paper as an area: artwork knocks out what is beneath. */
export function inkOf(paint: Paint, colour: ColourEngine): Ink {
  switch (paint.kind) {
    case 'process':
      return { kind: 'process', build: { c: paint.c, m: paint.m, y: paint.y, k: paint.k }, overprint: false };
    case 'paper':
      return { kind: 'process', build: { c: 0, m: 0, y: 0, k: 0 }, overprint: false };
    case 'rgb': {
      const from = { r: paint.r, g: paint.g, b: paint.b };
      return { kind: 'process', build: colour.toBuild(from), overprint: false, from };
    }
  }
}

/**
 * What a paint lays on paper as type or line: black is one ink and overprints, so that no paper shows at its edges
 * when the plates shift, and sRGB black becomes that black.
 */
export function fineInkOf(paint: Paint, colour: ColourEngine): Ink {
  if (paint.kind === 'rgb' && paint.r + paint.g + paint.b === 0) {
    const from = { r: 0, g: 0, b: 0 };
    return { kind: 'process', build: { c: 0, m: 0, y: 0, k: 100 }, overprint: true, from };
  }
  const ink = inkOf(paint, colour);
  return ink.kind === 'process' && isBlackOnly(ink.build) ? { ...ink, overprint: true } : ink;
}
