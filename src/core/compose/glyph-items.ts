import type { Item, PlacedGlyph } from '../drawing';
import type { CharacterLook } from '../element';
import type { Matrix } from '../layout';
import { runsOf, type LineGlyph } from '../type';
import { fineInkOf } from './ink';
import type { ElementContext } from './context';

const isAlike = (a: LineGlyph, b: LineGlyph): boolean =>
  a.font === b.font && a.size === b.size && samePaint(a.look, b.look);

const samePaint = (a: CharacterLook, b: CharacterLook): boolean =>
  a.paint === b.paint || JSON.stringify(a.paint) === JSON.stringify(b.paint);

interface Run {
  readonly first: LineGlyph;
  readonly glyphs: readonly PlacedGlyph[];
}

const known = new WeakMap<readonly LineGlyph[], readonly Run[]>();

/** The runs of a line, the same objects as long as the line is: what a reader made of them it need not make again. */
function runsIn(glyphs: readonly LineGlyph[]): readonly Run[] {
  const before = known.get(glyphs);
  if (before) return before;
  const made = runsOf(glyphs, isAlike).map((run) => ({
    first: run[0],
    glyphs: run.map((g) => ({ gid: g.gid, x: g.x, y: g.y, text: g.text })),
  }));
  known.set(glyphs, made);
  return made;
}

/**
 * Glyphs of one font, size and ink together, in reading order, so that text copies as it was typed.
 * @param matrix sets down the point that the glyphs count from
 */
export const glyphItems = (
  from: string,
  glyphs: readonly LineGlyph[],
  matrix: Matrix,
  context: ElementContext,
): readonly Item[] =>
  runsIn(glyphs).map(({ first, glyphs: run }): Item => ({
    kind: 'glyphs',
    from,
    opacity: 1,
    matrix,
    font: first.font,
    size: first.size,
    ink: fineInkOf(first.look.paint, context.colour),
    glyphs: run,
  }));
