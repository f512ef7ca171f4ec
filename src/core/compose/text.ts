import type { ElementOf } from '../element';
import { insetsOf } from '../element';
import type { Item, Note } from '../drawing';
import { grow, negated, positive, type Rect } from '../layout';
import { ptToMm, type Mm } from '../measure';
import { composeText, fontRuns, hiddenText, type ComposedText, type Face, type FontSet } from '../type';
import { fineInkOf } from './ink';
import type { Body, Setting, Surroundings } from './surroundings';

type Text = ElementOf<'text'>;

/** The face a text is set in, or the one that stands in for it. */
function faceOf({ style }: Text, { fonts }: Surroundings): { readonly face: Face | undefined; readonly found: boolean } {
  const found = fonts.find(style.family, style.weight, style.italic);
  return { face: found ?? fonts.fallback(), found: found !== undefined };
} // prettier-ignore

function setInto(element: Text, face: Face, inner: { width: Mm; height: Mm }, around: Surroundings): ComposedText {
  const language = element.language ?? around.language;
  return composeText(element.text, element.style, element.vertical, inner, face, language, around.hyphenator(language));
}

/** Wider than anything is set. */
const ENDLESS = 1e6;

/** What a text takes on an axis: its longest line unbroken, or the height of its lines at a width. */
export function textSize(element: Text, axis: 'x' | 'y', width: Mm | undefined, around: Surroundings): Mm {
  const { face } = faceOf(element, around);
  if (!face) return 0;
  const inset = insetsOf(element.inset, around.boxes.measures);
  const across = inset.left + inset.right;
  const inner = axis === 'y' && width !== undefined ? Math.max(0, width - across) : ENDLESS;
  const text = setInto(element, face, { width: inner, height: ENDLESS }, around);
  if (axis === 'y') return text.needs + inset.top + inset.bottom;
  return Math.max(0, ...text.lines.map((line) => line.width)) + across;
}

export function composeTextFrame(element: Text, { rect, matrix }: Setting, around: Surroundings): Body {
  const { style } = element;
  const inset = insetsOf(element.inset, around.boxes.measures);
  const inner = positive(grow(rect, negated(inset)));
  const { face, found } = faceOf(element, around);
  const notes: Note[] = found ? [] : [{ kind: 'missing-font', element: element.id, family: style.family }];
  if (!face) return { items: [], ink: rect, notes };
  const text = setInto(element, face, inner, around);
  const hidden = hiddenText(element.text, text);
  if (hidden.words > 0) {
    notes.push({ kind: 'overflow', element: element.id, ...hidden, needs: text.needs + inset.top + inset.bottom });
  }
  const missing = new Set(text.lines.flatMap((l) => l.glyphs.filter((g) => g.gid === 0).map((g) => g.text)));
  if (missing.size > 0) {
    notes.push({ kind: 'missing-glyphs', element: element.id, characters: [...missing].join(' ') });
  }
  const ink = fineInkOf(style.paint, around.colour);
  const size = ptToMm(style.sizePt);
  const items = text.lines
    .flatMap((line) => fontRuns(line.glyphs))
    .map((run): Item => ({
      kind: 'glyphs',
      from: element.id,
      opacity: 1,
      matrix,
      font: run[0].font,
      size,
      ink,
      glyphs: run.map((g) => ({ gid: g.gid, x: inner.x + g.x, y: inner.y + g.y, text: g.text })),
    }));
  return { items, ink: inkBox(text, inner, size, around.fonts) ?? rect, notes, text };
}

/** Box around the outlines of the set glyphs: where ink really lies. */
function inkBox(text: ComposedText, inner: Rect, size: Mm, fonts: FontSet): Rect | undefined {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const glyph of text.lines.flatMap((line) => line.glyphs)) {
    const font = fonts.file(glyph.font);
    const box = font?.extents(glyph.gid);
    if (!font || !box) continue;
    const scale = size / font.unitsPerEm;
    left = Math.min(left, glyph.x + box.xMin * scale);
    right = Math.max(right, glyph.x + box.xMax * scale);
    top = Math.min(top, glyph.y - box.yMax * scale);
    bottom = Math.max(bottom, glyph.y - box.yMin * scale);
  }
  if (right < left) return undefined;
  return { x: inner.x + left, y: inner.y + top, width: right - left, height: bottom - top };
}
