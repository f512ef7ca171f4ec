import type { Mm } from '../measure';
import type { Line } from './compose';
import type { FontSet } from './font';
import type { LineGlyph } from './set-line';

/** Box around the outlines of a line’s glyphs, mm from where its measure begins and from its baseline, y down. */
export interface LineInk {
  readonly left: Mm;
  readonly top: Mm;
  readonly right: Mm;
  readonly bottom: Mm;
}

const known = new WeakMap<readonly LineGlyph[], LineInk | null>();

/** Where the ink of a line lies; undefined where it has none. */
export function lineInk({ glyphs }: Pick<Line, 'glyphs'>, fonts: FontSet): LineInk | undefined {
  const before = known.get(glyphs);
  if (before !== undefined) return before ?? undefined;
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const g of glyphs) {
    const font = fonts.file(g.font);
    const box = font?.extents(g.gid);
    if (!font || !box) continue;
    const scale = g.size / font.unitsPerEm;
    left = Math.min(left, g.x + box.xMin * scale);
    right = Math.max(right, g.x + box.xMax * scale);
    top = Math.min(top, g.y - box.yMax * scale);
    bottom = Math.max(bottom, g.y - box.yMin * scale);
  }
  const made = right > left ? { left, top, right, bottom } : null;
  known.set(glyphs, made);
  return made ?? undefined;
}

/** How far the ink of a line reaches, mm from where its measure begins. */
export function inkSpan(
  line: Pick<Line, 'glyphs'>,
  { fonts }: { readonly fonts: FontSet },
): readonly [left: Mm, right: Mm] | undefined {
  const ink = lineInk(line, fonts);
  return ink && [ink.left, ink.right];
}
