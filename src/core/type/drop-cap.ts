import type { Mm } from '../measure';
import type { Prepared } from './prepared';
import { NOT_TYPED, type LineGlyph } from './set-line';
import { shapeText } from './shape-runs';

/** A first letter set as high as some lines. */
export interface DropCap {
  readonly lines: number;
  /** How much of the paragraph’s text it takes. */
  readonly taken: number;
  /** With the room beside it, mm. */
  readonly width: Mm;
  /** From the left of the text, on the baseline of the first line. */
  readonly glyphs: readonly LineGlyph[];
}

/** Room between the letter and the words, as a share of their size [cp]. */
const BESIDE = 0.25;

/**
 * The dropped letter of a paragraph: its head on the head of the first line’s capitals, its foot on the last of its
 * lines.
 */
export function dropCapOf(p: Prepared): DropCap | undefined {
  const lines = p.look.dropCap;
  const [piece] = p.pieces;
  const first = /^[“"‘'«„]?[\p{L}\p{N}]\p{M}*/u.exec(p.text)?.[0];
  if (lines < 2 || !piece || !first) return undefined;
  const [file] = piece.shape.face.files;
  if (!file) return undefined;
  const capHeight = file.facts.capHeight / file.unitsPerEm;
  if (capHeight <= 0) return undefined;
  const down = (lines - 1) * p.leading;
  const size = (down + capHeight * piece.shape.size) / capHeight;
  const shape = { ...piece.shape, size, tracking: 0 };
  const look = { ...piece.look, sizePt: (piece.look.sizePt * size) / piece.shape.size };
  let pen = p.indent;
  const glyphs = shapeText(first, shape).map((g): LineGlyph => {
    const placed = {
      font: g.font,
      gid: g.gid,
      size,
      look,
      x: pen + g.dx,
      y: down - g.dy,
      text: g.text,
      at: p.source[g.at] ?? NOT_TYPED,
      advance: g.advance,
    };
    pen += g.advance;
    return placed;
  });
  return { lines, taken: first.length, width: pen - p.indent + piece.shape.size * BESIDE, glyphs };
}
