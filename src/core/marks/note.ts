import type { Ink, Item } from '../drawing';
import { IDENTITY, rotation, type Point } from '../layout';
import { ptToMm, type Mm } from '../measure';
import { composeText, fontRuns, type Face } from '../type';

export interface Note {
  readonly text: string;
  readonly sizePt: number;
  readonly at: Point;
  readonly width: Mm;
  readonly align?: 'left' | 'centre';
  readonly ink: Ink;
  /** Degrees clockwise about the middle of its box. */
  readonly turn?: number;
  /** What the note belongs to. */
  readonly from: string;
}

/** Words beside or on a sheet that are no artwork: slug lines, names on a dummy. Set from their top-left corner. */
export function noteItems(note: Note, face: Face): { readonly height: Mm; readonly items: readonly Item[] } {
  const style = {
    family: face.family,
    weight: face.weight,
    italic: false,
    sizePt: note.sizePt,
    leadingPt: null,
    tracking: 0,
    case: 'typed' as const,
    paint: { kind: 'paper' as const },
    align: note.align ?? ('left' as const),
    hyphenate: false,
  };
  const text = composeText(note.text, style, 'top', { width: note.width, height: 1000 }, face, 'en', undefined);
  const middle = { x: note.at.x + note.width / 2, y: note.at.y + text.needs / 2 };
  const items = fontRuns(text.lines.flatMap((l) => l.glyphs)).map((run): Item => ({
    kind: 'glyphs',
    from: note.from,
    opacity: 1,
    matrix: note.turn ? rotation(note.turn, middle) : IDENTITY,
    font: run[0].font,
    size: ptToMm(note.sizePt),
    glyphs: run.map((g) => ({ gid: g.gid, x: note.at.x + g.x, y: note.at.y + g.y, text: g.text })),
    ink: note.ink,
  }));
  return { height: text.needs, items };
}
