import type { Ink, Item } from '../drawing';
import { IDENTITY, rotation, type Point } from '../layout';
import { USUAL_LOOK, plainParagraphs, type ParagraphLook } from '../element';
import type { Mm } from '../measure';
import { composeText, glyphsIn, runsOf } from './compose';
import { faceContext } from './prepare';
import { plainBox } from './slots';
import type { Face } from './font';

/** Words that are no text of the job. */
export interface PlainNote {
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
export function noteItems(note: PlainNote, face: Face): { readonly height: Mm; readonly items: readonly Item[] } {
  const look: ParagraphLook = { ...USUAL_LOOK, sizePt: note.sizePt, align: note.align ?? 'left', breaking: 'line' };
  const paragraphs = plainParagraphs(note.text).map((paragraph) => ({ paragraph, look }));
  const text = composeText(paragraphs, [plainBox(note.width, 1000)], 'en', faceContext(face));
  const middle = { x: note.at.x + note.width / 2, y: note.at.y + text.needs / 2 };
  const items = runsOf(text.lines.flatMap(glyphsIn), (a, b) => a.font === b.font).map((run): Item => ({
    kind: 'glyphs',
    from: note.from,
    opacity: 1,
    matrix: note.turn ? rotation(note.turn, middle) : IDENTITY,
    font: run[0].font,
    size: run[0].size,
    glyphs: run.map((g) => ({ gid: g.gid, x: note.at.x + g.x, y: note.at.y + g.y, text: g.text })),
    ink: note.ink,
  }));
  return { height: text.needs, items };
}
