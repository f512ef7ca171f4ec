import type { Item, Note } from '../drawing';
import { multiply, rectPath, type Matrix, type Rect } from '../layout';
import type { Mm } from '../measure';
import { askedFeatures, composeText, fitText, hiddenText, lineInk, plainBox, type Line } from '../type';
import { insetsOf, plainText, type TextElement } from '../element';
import { alongOutline } from './along';
import { glyphItems } from './glyph-items';
import { fineInkOf } from './ink';
import { innerOf, lookedParagraphs } from './story';
import type { Story } from './set-words';
import type { Body, Setting, ElementContext } from './context';

/** Wider than anything is set. */
const ENDLESS = 1e6;

/** What a text takes on an axis: its longest line unbroken, or the height of its lines at a width. */
export function textSize(element: TextElement, axis: 'x' | 'y', width: Mm | undefined, context: ElementContext): Mm {
  const inset = insetsOf(element.inset, context.boxes.measures);
  const across = inset.left + inset.right;
  const inner = axis === 'y' && width !== undefined ? Math.max(0, width - across) : ENDLESS;
  const language = element.language ?? context.language;
  const looked = lookedParagraphs(element, context.type);
  // A height follows from a fitted width; a width that follows from the words cannot be fitted to.
  const fit = axis === 'y' && element.fit?.to === 'width' ? element.fit : null;
  const box = { ...plainBox(inner, ENDLESS), columns: axis === 'y' ? element.columns : 1 };
  const text = fit
    ? fitText(looked, [box], fit, language, context.type).text
    : composeText(looked, [box], language, context.type);
  if (axis === 'y') return text.needs + inset.top + inset.bottom;
  return Math.max(0, ...text.lines.map((line) => line.left + line.width - Math.min(0, line.x - line.left))) + across;
}

/** Draws the lines of a story that stand in one of its frames. */
export function composeTextFrame(
  element: TextElement,
  { rect, matrix }: Setting,
  context: ElementContext,
  story: Story,
): Body {
  const inner = innerOf(element, rect, context.boxes);
  const frame = story.chain.indexOf(element.id);
  const isLast = frame === story.chain.length - 1;
  const lines = story.text.lines.filter((line) => line.frame === frame);
  const notes: Note[] = [];
  if (frame === 0)
    for (const family of story.text.missing) notes.push({ kind: 'missing-font', element: element.id, family });
  if (isLast) notes.push(...overflowOf(element, story, context));
  notes.push(...glyphNotes(element, lines, context));
  const body = element.along
    ? alongOutline(element, lines, context)
    : set(element, lines, story, inner, matrix, context);
  return { ...body, ink: body.ink ?? rect, notes: [...notes, ...body.notes] };
}

function overflowOf(element: TextElement, { text, chain }: Story, context: ElementContext): Note[] {
  const typed = chain
    .map((id) => context.text(id))
    .flatMap((t) => (t ? [plainText(t.paragraphs)] : []))
    .join('\n');
  const hidden = hiddenText(typed, text);
  if (hidden.words === 0) return [];
  const inset = insetsOf(element.inset, context.boxes.measures);
  return [{ kind: 'overflow', element: element.id, ...hidden, needs: text.needs + inset.top + inset.bottom }];
}

/** Lines of which every sign and feature is there. */
const sound = new WeakSet<Line['glyphs']>();

function glyphNotes(element: TextElement, lines: readonly Line[], { fonts }: ElementContext): Note[] {
  const missing = new Set<string>();
  const features = new Set<string>();
  for (const { glyphs } of lines) {
    if (sound.has(glyphs)) continue;
    const before = missing.size + features.size;
    for (const g of glyphs) {
      if (g.gid === 0) missing.add(g.text);
      const asked = askedFeatures(g.look);
      if (asked.length === 0) continue;
      const has = fonts.file(g.font)?.features;
      for (const tag of asked) if (has && !has.has(tag)) features.add(tag);
    }
    if (missing.size + features.size === before) sound.add(glyphs);
  }
  return [
    ...(missing.size > 0
      ? [{ kind: 'missing-glyphs' as const, element: element.id, characters: [...missing].join(' ') }]
      : []),
    ...(features.size > 0 ? [{ kind: 'missing-feature' as const, element: element.id, features: [...features] }] : []),
  ];
}

interface SetBody {
  readonly items: readonly Item[];
  readonly ink: Rect | undefined;
  readonly notes: readonly Note[];
}

function set(
  element: TextElement,
  lines: readonly Line[],
  { stretch }: Story,
  inner: Rect,
  matrix: Matrix,
  context: ElementContext,
): SetBody {
  const items = lines.flatMap((line): Item[] => {
    const wider = stretch?.[line.paragraph] ?? 1;
    const there: Matrix =
      wider === 1 ? matrix : multiply(matrix, [wider, 0, 0, 1, (inner.x + line.left) * (1 - wider), 0]);
    return [
      ...glyphItems(
        element.id,
        line.glyphs,
        multiply(there, [1, 0, 0, 1, inner.x + line.left, inner.y + line.baseline]),
        context,
      ),
      ...line.rules.map((rule): Item => ({
        kind: 'path',
        from: element.id,
        opacity: 1,
        matrix: there,
        path: rectPath({
          x: inner.x + line.left + rule.from,
          y: inner.y + line.baseline + rule.y - rule.width / 2,
          width: rule.to - rule.from,
          height: rule.width,
        }),
        fill: fineInkOf(rule.look.paint, context.colour),
        stroke: null,
      })),
    ];
  });
  return { items, ink: inkBox(lines, stretch, inner, context), notes: [] };
}

/** Box around the outlines of the set glyphs: where ink really lies. */
function inkBox(
  lines: readonly Line[],
  stretch: readonly number[] | undefined,
  inner: Rect,
  context: ElementContext,
): Rect | undefined {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const line of lines) {
    const ink = lineInk(line, context.fonts);
    if (!ink) continue;
    const wider = stretch?.[line.paragraph] ?? 1;
    left = Math.min(left, line.left + ink.left * wider);
    right = Math.max(right, line.left + ink.right * wider);
    top = Math.min(top, line.baseline + ink.top);
    bottom = Math.max(bottom, line.baseline + ink.bottom);
  }
  if (right < left) return undefined;
  return { x: inner.x + left, y: inner.y + top, width: right - left, height: bottom - top };
}
