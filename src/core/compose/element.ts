import type { ColourEngine } from '../colour';
import {
  ellipsePath,
  linePath,
  rectPath,
  type Frame,
  type Item,
  type Note,
  type Path,
  type StrokeStyle,
} from '../drawing';
import { pictureAsset, type Asset, type Element, type ElementOf, type Stroke } from '../job';
import {
  IDENTITY,
  bleedOut,
  centreOf,
  edges,
  grow,
  negated,
  rotation,
  solve,
  turnedBounds,
  type Matrix,
  type Rect,
  type SurfaceBoxes,
} from '../layout';
import { ptToMm, type Mm } from '../measure';
import { composeText, fontRuns, hiddenText, type ComposedText, type FontSet, type Hyphenator } from '../type';
import { fineInkOf, inkOf } from './ink';
import { fitPicture } from './fit-picture';

/** What composing needs beside the element. */
export interface Surroundings {
  readonly boxes: SurfaceBoxes;
  readonly assets: Readonly<Record<string, Asset>>;
  readonly language: string;
  readonly ppi: number;
  readonly colour: ColourEngine;
  readonly fonts: FontSet;
  readonly hyphenator: (language: string) => Hyphenator | undefined;
}

export interface Composed {
  readonly frame: Frame;
  readonly notes: readonly Note[];
  /** Set for text: the lines, for the caret and for measuring. */
  readonly text?: ComposedText;
}

/** Lays one element on its surface. */
export function composeElement(element: Element, around: Surroundings): Composed {
  const rect = positive(solve(element.placement, around.boxes));
  const matrix = turn(rect, element.placement.rotate);
  const common = { from: element.id, opacity: element.opacity, matrix };
  const place = (items: readonly Item[], reach: Rect): Frame => ({
    element: element.id,
    name: nameOf(element),
    kind: element.kind,
    rect,
    rotate: element.placement.rotate,
    bounds: turnedBounds(reach, element.placement.rotate),
    items,
  });
  switch (element.kind) {
    case 'rectangle': {
      const reach = bleeding(element, rect, around.boxes);
      const fill = element.fill && inkOf(element.fill, around.colour);
      const stroke = element.stroke && strokeOf(element.stroke, around.colour);
      const item: Item = { kind: 'path', ...common, path: rectPath(reach, element.radius), fill, stroke };
      return { frame: place([item], withStroke(reach, stroke)), notes: [] };
    }
    case 'ellipse': {
      const fill = element.fill && inkOf(element.fill, around.colour);
      const stroke = element.stroke && strokeOf(element.stroke, around.colour);
      const item: Item = { kind: 'path', ...common, path: ellipsePath(rect), fill, stroke };
      return { frame: place([item], withStroke(rect, stroke)), notes: [] };
    }
    case 'line': {
      const stroke = strokeOf(element.stroke, around.colour);
      const item: Item = { kind: 'path', ...common, path: runOf(element, rect, around.boxes), fill: null, stroke };
      return { frame: place([item], thickened(rect, stroke.width)), notes: [] };
    }
    case 'picture':
      return composePicture(element, rect, common, place, around);
    case 'text':
      return composeTextFrame(element, rect, common, place, around);
  }
}

type Place = (items: readonly Item[], reach: Rect) => Frame;
type Common = Pick<Item, 'from' | 'opacity' | 'matrix'>;

function composePicture(
  element: ElementOf<'picture'>,
  rect: Rect,
  common: Common,
  place: Place,
  around: Surroundings,
): Composed {
  const reach = bleeding(element, rect, around.boxes);
  const asset = pictureAsset(around.assets, element.picture);
  if (!asset || element.picture === null || reach.width <= 0 || reach.height <= 0) {
    const note: Note = { kind: 'missing-picture', element: element.id, empty: element.picture === null };
    return { frame: place([], reach), notes: [note] };
  }
  const image = fitPicture(reach, asset, element.fit, element.focus, around.ppi);
  const item: Item = { kind: 'picture', ...common, picture: element.picture, image, clip: reach };
  return { frame: place([item], reach), notes: [] };
}

function composeTextFrame(
  element: ElementOf<'text'>,
  rect: Rect,
  common: Common,
  place: Place,
  around: Surroundings,
): Composed {
  const { style } = element;
  const inner = positive(grow(rect, negated(element.inset)));
  const found = around.fonts.find(style.family, style.weight, style.italic);
  const face = found ?? around.fonts.fallback();
  const notes: Note[] = found ? [] : [{ kind: 'missing-font', element: element.id, family: style.family }];
  if (!face) return { frame: place([], rect), notes };
  const language = element.language ?? around.language;
  const text = composeText(element.text, style, element.vertical, inner, face, language, around.hyphenator(language));
  const hidden = hiddenText(element.text, text);
  if (hidden.words > 0) {
    notes.push({
      kind: 'overflow',
      element: element.id,
      ...hidden,
      needs: text.needs + element.inset.top + element.inset.bottom,
    });
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
      ...common,
      font: run[0].font,
      size,
      ink,
      glyphs: run.map((g) => ({ gid: g.gid, x: inner.x + g.x, y: inner.y + g.y, text: g.text })),
    }));
  return { frame: place(items, inkBox(text, inner, size, around.fonts) ?? rect), notes, text };
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

const turn = (rect: Rect, degrees: number): Matrix =>
  degrees % 360 === 0 ? IDENTITY : rotation(degrees, centreOf(rect));

/** Edges that passed each other leave nothing, rather than a box turned inside out. */
const positive = (r: Rect): Rect => ({ ...r, width: Math.max(r.width, 0), height: Math.max(r.height, 0) });

function bleeding(element: ElementOf<'rectangle' | 'picture'>, rect: Rect, boxes: SurfaceBoxes): Rect {
  return element.atTrim === 'stops' ? rect : grow(rect, bleedOut(rect, element.placement.rotate, boxes));
}

/** A line’s run; an end that lies on the trim goes out to the bleed. */
function runOf(element: ElementOf<'line'>, rect: Rect, boxes: SurfaceBoxes): Path {
  const level = rect.height === 0 || rect.width === 0;
  const out = level ? bleedOut(rect, element.placement.rotate, boxes) : edges(0);
  const r = rect.height === 0 ? grow(rect, { ...out, top: 0, bottom: 0 }) : grow(rect, { ...out, left: 0, right: 0 });
  const [top, bottom] = [r.y, r.y + r.height];
  return element.slope === 'down'
    ? linePath({ x: r.x, y: top }, { x: r.x + r.width, y: bottom })
    : linePath({ x: r.x, y: bottom }, { x: r.x + r.width, y: top });
}

function strokeOf(stroke: Stroke, colour: ColourEngine): StrokeStyle {
  const width = ptToMm(stroke.widthPt);
  const ink = fineInkOf(stroke.paint, colour);
  switch (stroke.dash) {
    case 'solid':
      return { ink, width, dash: [], cap: 'butt' };
    case 'dashed':
      return { ink, width, dash: [width * 4, width * 3], cap: 'butt' };
    case 'dotted':
      return { ink, width, dash: [0, width * 2], cap: 'round' };
  }
}

/** What a line covers: a level line is thicker only across its run. */
const thickened = (rect: Rect, width: number): Rect => {
  const half = width / 2;
  const across = rect.height === 0 && rect.width > 0 ? 0 : half;
  const along = rect.width === 0 && rect.height > 0 ? 0 : half;
  return grow(rect, { left: across, right: across, top: along, bottom: along });
};

const withStroke = (rect: Rect, stroke: StrokeStyle | null): Rect =>
  stroke ? grow(rect, edges(stroke.width / 2)) : rect;

const KIND_WORDS: Readonly<Record<Exclude<Element['kind'], 'text'>, string>> = {
  rectangle: 'Box',
  ellipse: 'Oval',
  line: 'Line',
  picture: 'Picture',
};

/** What a designer would call it: its name, its first words, or its kind. */
export function nameOf(element: Element): string {
  if (element.name) return element.name;
  if (element.kind === 'text') {
    const words = element.text.trim().split(/\s+/).slice(0, 4).join(' ');
    return words ? words.slice(0, 32) : 'Empty text';
  }
  return KIND_WORDS[element.kind];
}
