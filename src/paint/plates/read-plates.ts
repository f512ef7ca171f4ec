import {
  dilatedOutlines,
  dilate,
  type Clip,
  type GlyphItem,
  type Ink,
  type Item,
  type PageItem,
  type PictureItem,
  type PlacedGlyph,
  type SoftMask,
  type StrokeStyle,
} from '../../core/drawing';
import {
  edges as allRound,
  grow,
  mapPath,
  mappedBounds,
  multiply,
  pathBounds,
  rectPath,
  type Matrix,
  type Path,
  type Rect,
  isIdentity,
} from '../../core/layout';
import { gaussian } from '../gaussian';
import { Canvas, type RowInk } from './canvas';
import { cover, type PixelBox } from './coverage';
import { Edges, fillEdges } from './edges';
import { flatInk, leftByGradient, pixelMatrix, shadingOf } from './inks';
import { pictureRows, type InkPixels, type PictureRows } from './picture-rows';
import { clipBox, applyAlpha, intersect, outward, sidesOf, sample, type Stencil } from './stencil';
import { strokeEdges } from './stroke';

/** What the plate reader needs beside the items. */
export interface PlateSource {
  /** Outline of a glyph in font units, y up; undefined when the font is not at hand. */
  readonly outline: (font: string, gid: number) => { readonly path: Path; readonly unitsPerEm: number } | undefined;
  /** Inks of a picture; undefined while it is not at hand. */
  readonly picture: (item: PictureItem) => InkPixels | undefined;
  /** Inks of a page of somebody else’s document. */
  readonly page: (item: PageItem) => InkPixels | undefined;
}

/** Which part of a surface, and how finely. */
export interface PlateView {
  /** mm from the trimmed top-left corner. */
  readonly box: Rect;
  /** Pixels to the millimetre. */
  readonly scale: number;
}

/** One image a plate, row by row, 0 for bare paper, 255 for full ink. */
export interface Plates {
  readonly width: number;
  readonly height: number;
  readonly names: readonly string[];
  readonly pixels: readonly Uint8Array[];
}

/**
 * Every plate of a surface as an 8-bit image, as a press file’s reader separates it: what is laid on top knocks out
 * what is beneath on every plate, unless it overprints; groups, blend modes and soft masks are mixed plate by plate
 * (ISO 32000-1, 11).
 * @param items in paint order, those of layers too
 * @param names plates that are wanted, in their order; see `plateNames`
 */
export function readPlates(
  items: readonly Item[],
  names: readonly string[],
  view: PlateView,
  source: PlateSource,
): Plates {
  const box = pixelsOf(view);
  // Mixing on bare paper lays on plainly: where that can happen, what is bare has to be known.
  const canvas = new Canvas(
    box,
    names,
    items.some((item) => item.blend !== undefined),
  );
  const reader = new Reader(view, names, source);
  reader.draw(items, canvas);
  return { width: box.width, height: box.height, names, pixels: canvas.ontoPaper() };
}

export const pixelsOf = ({ box, scale }: PlateView): PixelBox => ({
  x: 0,
  y: 0,
  width: max(1, round(box.width * scale)),
  height: max(1, round(box.height * scale)),
});

class Reader {
  constructor(
    private readonly view: PlateView,
    private readonly names: readonly string[],
    private readonly source: PlateSource,
  ) {}

  draw(items: readonly Item[], canvas: Canvas, under: Matrix = IDENTITY): void {
    for (const item of items) this.drawItem(item, canvas, under);
  }

  /** @param under matrix of the groups around it */
  private drawItem(item: Item, canvas: Canvas, under: Matrix): void {
    const clip = item.clip && this.stencilOf(item.clip, this.pixels(under), canvas.box);
    const matrix = this.pixels(multiply(under, item.matrix));
    switch (item.kind) {
      case 'path': {
        const { fill, stroke, path } = item;
        if (fill) this.paint(fillEdges(path, matrix), item.rule ?? 'nonzero', fill, item, clip, canvas, matrix);
        if (stroke) this.stroke(path, stroke, item, clip, canvas, matrix);
        return;
      }
      case 'glyphs': {
        const { edges, outlines } = this.glyphEdges(item, matrix);
        if (!item.hollow) this.paint(edges, 'nonzero', item.ink, item, clip, canvas, matrix);
        if (item.stroke)
          this.paint(
            strokeEdges(outlines(), item.stroke, item.stroke.width, matrix),
            'nonzero',
            item.stroke.ink,
            item,
            clip,
            canvas,
            matrix,
          );
        return;
      }
      case 'picture':
        return this.drawPicture(item, clip, canvas, matrix);
      case 'page': {
        const pixels = this.source.page(item);
        if (pixels) this.paintPixels(pixels, item.image, item.image, matrix, matrix, item, clip, canvas);
        return;
      }
      case 'group':
        return this.drawGroup(item, clip, canvas, under, matrix);
    }
  }

  private pixels(matrix: Matrix): Matrix {
    return pixelMatrix(this.view.scale, this.view.box.x, this.view.box.y, matrix);
  }

  private stroke(
    path: Path,
    stroke: StrokeStyle,
    item: Item,
    clip: Stencil | undefined,
    canvas: Canvas,
    matrix: Matrix,
  ): void {
    if (!stroke.align)
      return this.paint(
        strokeEdges(path, stroke, stroke.width, matrix),
        'nonzero',
        stroke.ink,
        item,
        clip,
        canvas,
        matrix,
      );
    // Twice as wide, and cut away on one side of the path.
    const outer = stroke.align === 'out' ? rectPath(grow(pathBounds(path), allRound(stroke.width * 4))) : [];
    const rule = stroke.align === 'out' || (item.kind === 'path' && item.rule === 'evenodd') ? 'evenodd' : 'nonzero';
    const half = this.stencilOf({ path: [...outer, ...path], rule }, matrix, canvas.box);
    const both = clip ? intersect(clip, half) : half;
    this.paint(strokeEdges(path, stroke, stroke.width * 2, matrix), 'nonzero', stroke.ink, item, both, canvas, matrix);
  }

  private glyphEdges(item: GlyphItem, matrix: Matrix): { readonly edges: Edges; readonly outlines: () => Path } {
    const edges = new Edges();
    const placed = (glyph: PlacedGlyph) => {
      const found = this.source.outline(item.font, glyph.gid);
      if (!found || found.path.length === 0) return undefined;
      const k = item.size / found.unitsPerEm;
      return { path: found.path, set: [k, 0, 0, -k, glyph.x, glyph.y] satisfies Matrix };
    };
    for (const glyph of item.glyphs) {
      const outline = placed(glyph);
      if (outline) fillEdges(outline.path, multiply(matrix, outline.set), edges);
    }
    const outlines = (): Path =>
      item.glyphs.flatMap((glyph) => {
        const outline = placed(glyph);
        return outline ? mapPath(outline.path, outline.set) : [];
      });
    return { edges, outlines };
  }

  /** An area in an ink. */
  private paint(
    edges: Edges,
    rule: 'nonzero' | 'evenodd',
    ink: Ink,
    item: Item,
    clip: Stencil | undefined,
    canvas: Canvas,
    matrix: Matrix,
  ): void {
    const opacity = round(item.opacity * 255);
    const opaque = new Uint8Array(canvas.box.width);
    if (ink.kind !== 'gradient') {
      const flat = flatInk(ink, this.names);
      cover(edges, rule, canvas.box, (y, from, to, row) => {
        const isFull = applyAlpha(row, from, to, opacity, clip, y, canvas.box, opaque);
        layRuns(canvas, y, from, to, opaque, isFull, flat, item);
      });
      return;
    }
    const shading = shadingOf(ink.run, ink.stops, this.names, matrix, canvas.box.x);
    const steps = new Uint16Array(canvas.box.width);
    const rows = this.names.map(() => new Uint8Array(canvas.box.width));
    const left = leftByGradient(ink, this.names);
    const laid: RowInk = { of: rows.map((row, p) => (left.has(this.names[p] ?? '') ? undefined : row)) };
    cover(edges, rule, canvas.box, (y, from, to, row) => {
      applyAlpha(row, from, to, opacity, clip, y, canvas.box, opaque);
      shading.steps(y, from, to, steps);
      rows.forEach((values, p) => {
        const along = shading.values[p];
        for (let x = from; x < to; x += 1) values[x] = along?.[steps[x] ?? 0] ?? 0;
      });
      const { opacity: clear } = shading;
      if (clear)
        for (let x = from; x < to; x += 1) opaque[x] = round(((opaque[x] ?? 0) * (clear[steps[x] ?? 0] ?? 0)) / 255);
      canvas.lay(y, from, to, opaque, false, laid, item.blend);
    });
  }

  private drawPicture(item: PictureItem, clip: Stencil | undefined, canvas: Canvas, matrix: Matrix): void {
    const pixels = this.source.picture(item);
    if (!pixels) return;
    // A blurred picture was made with what its blur reaches beyond it.
    const whole = item.blur ? grow(item.image, allRound(3 * item.blur)) : item.image;
    const content = item.content ? multiply(matrix, item.content) : matrix;
    this.paintPixels(pixels, whole, item.frame, content, matrix, item, clip, canvas);
  }

  /** Pixels seen through a frame. @param content sets down the picture, @param matrix its frame */
  private paintPixels(
    pixels: InkPixels,
    image: Rect,
    frame: Rect,
    content: Matrix,
    matrix: Matrix,
    item: Item,
    clip: Stencil | undefined,
    canvas: Canvas,
  ): void {
    const { box } = canvas;
    const rows = pictureRows(pixels, image, content, box.x, box.width);
    const ink = inkOfRows(rows, this.names, item.kind === 'picture' ? item.flat : undefined);
    const opacity = round(item.opacity * 255);
    const opaque = new Uint8Array(box.width);
    const shown = fillEdges(rectPath(frame), matrix);
    // Of a frame wider than its picture only the picture is seen.
    const edge = this.stencilOf(
      { path: rectPath(image), rule: 'nonzero' },
      content,
      box,
      frame,
      image,
      content === matrix,
    );
    cover(shown, 'nonzero', box, (y, from, to, row) => {
      let isFull = applyAlpha(
        row,
        from,
        to,
        opacity,
        edge && clip ? intersect(edge, clip) : (edge ?? clip),
        y,
        box,
        opaque,
      );
      rows.read(y, from, to);
      const { alpha } = rows;
      if (alpha) {
        for (let x = from; x < to; x += 1) opaque[x] = round(((opaque[x] ?? 0) * (alpha[x] ?? 0)) / 255);
        isFull = false;
      }
      layRuns(canvas, y, from, to, opaque, isFull, ink, item);
    });
  }

  /** Items that are laid on as one: mixed apart, then set down. */
  private drawGroup(
    item: Extract<Item, { kind: 'group' }>,
    clip: Stencil | undefined,
    canvas: Canvas,
    under: Matrix,
    matrix: Matrix,
  ): void {
    const inner = multiply(under, item.matrix);
    const box = clipBox(outward(sidesOf(mappedBounds(item.region, matrix))), canvas.box);
    if (box.width <= 0 || box.height <= 0) return;
    const mask = item.mask && this.maskOf(item.mask, inner, box);
    const opacity = round(item.opacity * 255);
    const { width } = canvas.box;
    const opaque = new Uint8Array(width);
    const shift = box.x - canvas.box.x;
    const flat = item.mask && flatOver(item);
    if (mask && flat) {
      // One colour through a mask: the mask says how much of it is laid.
      const ink = flatInk(flat.ink, this.names);
      const most = round(opacity * flat.opacity);
      for (let y = box.y; y < box.y + box.height; y += 1) {
        applyAlpha(mask.subarray((y - box.y) * box.width), 0, box.width, most, clip, y, box, opaque);
        opaque.copyWithin(shift, 0, box.width);
        canvas.lay(y, shift, shift + box.width, opaque, false, ink, item.blend);
      }
      return;
    }
    const group = new Canvas(box, this.names, true);
    this.draw(item.items, group, inner);
    const rows = group.plates.map(() => new Uint8Array(width));
    for (let y = box.y; y < box.y + box.height; y += 1) {
      const base = (y - box.y) * box.width;
      let isSeen = false;
      for (let i = 0; i < box.width; i += 1) {
        let a = group.alpha?.[base + i] ?? 0;
        if (a > 0 && mask) a = (a * (mask[base + i] ?? 0)) / 255;
        if (a > 0 && opacity < 255) a = (a * opacity) / 255;
        const value = a > 0 && clip ? (a * sample(clip, box.x + i, y)) / 255 : a;
        opaque[shift + i] = round(value);
        if (value > 0) isSeen = true;
      }
      if (!isSeen) continue;
      rows.forEach((row, p) => row.set((group.plates[p] ?? row).subarray(base, base + box.width), shift));
      canvas.lay(y, shift, shift + box.width, opaque, false, { of: rows }, item.blend);
    }
  }

  /** How much a soft mask lets through at each pixel of a box: white silhouettes on black, blurred. */
  private maskOf(mask: SoftMask, under: Matrix, box: PixelBox): Uint8Array {
    const matrix = this.pixels(under);
    const sigma = mask.blur * sqrt(abs(matrix[0] * matrix[3] - matrix[1] * matrix[2]));
    // A wide Gaussian has nothing fine to show: it is drawn coarsely and drawn out.
    const coarse = max(1, sigma / PER_SIGMA);
    const view = { ...this.view, scale: this.view.scale / coarse };
    // A blur brings in what lies beyond the edge.
    const reach = ceil((sigma / coarse) * 4) + 1;
    const [left, top] = [floor(box.x / coarse) - reach, floor(box.y / coarse) - reach];
    const wide: PixelBox = {
      x: left,
      y: top,
      width: ceil((box.x + box.width) / coarse) + reach - left,
      height: ceil((box.y + box.height) / coarse) + reach - top,
    };
    const canvas = new Canvas(wide, ['Black'], false);
    canvas.plates[0]?.fill(255);
    const reader = new Reader(view, ['Black'], this.source);
    reader.draw(dilate(mask.of, WHITE, max(mask.grow, 0)), canvas, under);
    if (mask.grow < 0) reader.draw(dilatedOutlines(mask.of, BLACK, -mask.grow), canvas, under);
    const black = canvas.plates[0] ?? new Uint8Array(0);
    const soft = sigma > 0.05 ? gaussian(black, wide.width, wide.height, sigma / coarse) : black;
    const region = this.stencilOf({ path: rectPath(mask.region), rule: 'nonzero' }, matrix, box);
    const out = new Uint8Array(box.width * box.height);
    for (let y = 0; y < box.height; y += 1)
      for (let x = 0; x < box.width; x += 1) {
        const light =
          255 -
          (coarse === 1
            ? (soft[(y + box.y - top) * wide.width + x + box.x - left] ?? 255)
            : bilinear(soft, wide, (box.x + x + 0.5) / coarse - 0.5, (box.y + y + 0.5) / coarse - 0.5));
        out[y * box.width + x] = round((light * sample(region, box.x + x, box.y + y)) / 255);
      }
    return out;
  }

  private stencilOf({ path, rule }: Clip, matrix: Matrix, within: PixelBox): Stencil;
  private stencilOf(
    { path, rule }: Clip,
    matrix: Matrix,
    within: PixelBox,
    frame: Rect,
    image: Rect,
    isSame: boolean,
  ): Stencil | undefined;
  private stencilOf(
    { path, rule }: Clip,
    matrix: Matrix,
    within: PixelBox,
    frame?: Rect,
    image?: Rect,
    isSame = false,
  ): Stencil | undefined {
    if (frame && image && isSame && covers(image, frame)) return undefined;
    const edges = fillEdges(path, matrix);
    const box = edges.length === 0 ? { ...within, width: 0, height: 0 } : clipBox(outward(edges.bounds()), within);
    const pixels = new Uint8Array(max(0, box.width) * max(0, box.height));
    cover(edges, rule, box, (y, from, to, row) => pixels.set(row.subarray(from, to), (y - box.y) * box.width + from));
    return { box, pixels };
  }
}

// Named once: a look-up of a global in every step is dear where code runs in a context of its own.
const { round, floor, ceil, max, sqrt, abs } = Math;

const IDENTITY: Matrix = [1, 0, 0, 1, 0, 0];
const WHITE = { kind: 'process', build: { c: 0, m: 0, y: 0, k: 0 }, overprint: false } as const;
const BLACK = { kind: 'process', build: { c: 0, m: 0, y: 0, k: 100 }, overprint: false } as const;

/** The one ink that a group lays all over its region, where it is no more than that. */
function flatOver({
  items,
  region,
}: Extract<Item, { kind: 'group' }>):
  { readonly ink: Exclude<Ink, { kind: 'gradient' }>; readonly opacity: number } | undefined {
  const [only] = items;
  if (items.length !== 1 || only?.kind !== 'path' || !only.fill || only.fill.kind === 'gradient') return undefined;
  if (only.stroke || only.blend || only.clip || only.path.length !== 5 || !isIdentity(only.matrix)) return undefined;
  // What overprints in a group of its own has nothing beneath it there: it lays bare plates.
  if (only.fill.kind === 'process' && only.fill.overprint) return undefined;
  return covers(pathBounds(only.path), region) ? { ink: only.fill, opacity: only.opacity } : undefined;
}

/** Pixels to a standard deviation of a blur. */
const PER_SIGMA = 3;

/** Between four pixels. */
function bilinear(pixels: ArrayLike<number>, box: PixelBox, px: number, py: number): number {
  const [x, y] = [floor(px), floor(py)];
  const [u, v] = [px - x, py - y];
  const at = (y - box.y) * box.width + x - box.x;
  const [a = 0, b = 0, c = 0, d = 0] = [pixels[at], pixels[at + 1], pixels[at + box.width], pixels[at + box.width + 1]];
  return (a * (1 - u) + b * u) * (1 - v) + (c * (1 - u) + d * u) * v;
}

/** Room for rounding, mm. */
const HAIR = 1e-6;

const covers = (outer: Rect, inner: Rect): boolean =>
  outer.x <= inner.x + HAIR &&
  outer.y <= inner.y + HAIR &&
  outer.x + outer.width >= inner.x + inner.width - HAIR &&
  outer.y + outer.height >= inner.y + inner.height - HAIR;

/** Which plates a picture’s rows go to: grey prints in black; where it is one flat ink, in that. */
function inkOfRows(rows: PictureRows, names: readonly string[], flat: Ink | undefined): RowInk {
  if (flat && flat.kind !== 'gradient') return flatInk(flat, names);
  const [one, ...more] = rows.inks;
  const by = more.length > 0 ? new Map(CMYK.map((name, i) => [name, rows.inks[i]])) : new Map([['Black', one]]);
  return { of: names.map((name) => by.get(name) ?? 0) };
}

const CMYK = ['Cyan', 'Magenta', 'Yellow', 'Black'];

/** Least run of full pixels that is worth laying at once. */
const RUN = 16;

/** Lays a row, its long full parts at once. */
function layRuns(
  canvas: Canvas,
  y: number,
  from: number,
  to: number,
  opaque: Uint8Array,
  isFull: boolean,
  ink: RowInk,
  item: Item,
): void {
  if (isFull || to - from < RUN || canvas.isClearAt(y)) {
    canvas.lay(y, from, to, opaque, isFull, ink, item.blend);
    return;
  }
  let start = from;
  let x = from;
  while (x < to) {
    if (opaque[x] !== 255) {
      x += 1;
      continue;
    }
    let end = x + 1;
    while (end < to && opaque[end] === 255) end += 1;
    if (end - x >= RUN) {
      if (x > start) canvas.lay(y, start, x, opaque, false, ink, item.blend);
      canvas.lay(y, x, end, opaque, true, ink, item.blend);
      start = end;
    }
    x = end;
  }
  if (start < to) canvas.lay(y, start, to, opaque, false, ink, item.blend);
}
