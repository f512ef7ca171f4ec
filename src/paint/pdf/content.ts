import type { Rgb } from '../../core/colour';
import type { GlyphItem, Ink, Item, Path, PictureItem, ProcessLayer } from '../../core/drawing';
import { isIdentity, type Matrix, type Rect } from '../../core/layout';
import { MM_PER_PT } from '../../core/measure';
import type { ShapingFont } from '../../core/type';

/** How a file states colour: as inks for the press, or as sRGB for a screen. */
export type Purpose = { readonly kind: 'press' } | { readonly kind: 'screen'; readonly toRgb: (ink: Ink) => Rgb };

/** Names given out while content is written; the document turns them into resources. */
export interface Resources {
  readonly font: (key: string, gid: number, text: string) => string;
  readonly picture: (item: PictureItem) => string;
  readonly state: (overprint: boolean, opacity: number) => string;
  /** The colour space of a spot. */
  readonly spot: (ink: Extract<Ink, { kind: 'spot' }>) => string;
  /** The property list that names a layer. */
  readonly layer: (layer: ProcessLayer) => string;
}

export interface ContentContext {
  readonly purpose: Purpose;
  readonly resources: Resources;
  readonly font: (key: string) => ShapingFont | undefined;
}

/** Colour space names in every page’s resources. */
export const REGISTRATION_SPACE = 'CsAll';
export const SCREEN_SPACE = 'CsRgb';

/** Five decimals: a hundred-thousandth of a millimetre, and never an exponent. */
export const num = (value: number): string => {
  const text = value.toFixed(5).replace(/\.?0+$/, '');
  return text === '-0' ? '0' : text;
};

/**
 * The content stream of a page: items in mm from the trimmed top-left corner, y down, set by one matrix into
 * points from the sheet’s bottom-left corner, y up.
 */
export function pageContent(
  parts: readonly PagePart[],
  sheet: Rect,
  userUnit: number,
  context: ContentContext,
): string {
  const k = 1 / MM_PER_PT / userUnit;
  const base = [k, 0, 0, -k, -sheet.x * k, (sheet.y + sheet.height) * k];
  return `q\n${base.map(precise).join(' ')} cm\n${parts.map((part) => drawPart(part, context)).join('')}Q\n`;
}

/** What a page is painted with, lowest first: plain items, or a layer of its own. */
export type PagePart = { readonly items: readonly Item[] } | { readonly layer: ProcessLayer };

function drawPart(part: PagePart, context: ContentContext): string {
  if ('items' in part) return part.items.map((item) => drawItem(item, context)).join('');
  const drawn = part.layer.items.map((item) => drawItem(item, context)).join('');
  return `/OC /${context.resources.layer(part.layer)} BDC\n${drawn}EMC\n`;
}

/** The page matrix carries ten decimals, so that a box 20 m away still lands within a thousandth of a point. */
const precise = (value: number): string => value.toFixed(10).replace(/\.?0+$/, '');

function drawItem(item: Item, context: ContentContext): string {
  const matrix = isIdentity(item.matrix) ? '' : `${matrixOf(item.matrix)} cm\n`;
  return `q\n${matrix}${draw(item, context)}Q\n`;
}

const matrixOf = (m: Matrix): string => m.map(precise).join(' ');

function draw(item: Item, context: ContentContext): string {
  switch (item.kind) {
    case 'path':
      return drawPath(item, context);
    case 'glyphs':
      return drawGlyphs(item, context);
    case 'picture':
      return drawPicture(item, context);
  }
}

function drawPath(item: Extract<Item, { kind: 'path' }>, context: ContentContext): string {
  const outline = pathOperators(item.path);
  let out = '';
  if (item.fill) out += `${state(item.fill, item.opacity, context)}${colour(item.fill, 'fill', context)}${outline}f\n`;
  if (item.stroke) {
    const { ink, width, dash, cap } = item.stroke;
    out += `${state(ink, item.opacity, context)}${colour(ink, 'stroke', context)}${num(width)} w ${cap === 'round' ? 1 : 0} J `;
    out += `[${dash.map(num).join(' ')}] 0 d\n${outline}S\n`;
  }
  return out;
}

function pathOperators(path: Path): string {
  return path
    .map((s) => {
      switch (s[0]) {
        case 'M':
          return `${num(s[1])} ${num(s[2])} m\n`;
        case 'L':
          return `${num(s[1])} ${num(s[2])} l\n`;
        case 'C':
          return `${s
            .slice(1)
            .map((v) => num(Number(v)))
            .join(' ')} c\n`;
        case 'Z':
          return 'h\n';
      }
    })
    .join('');
}

/** Glyphs by id; where the next glyph does not stand where its advance puts it, the difference is an adjustment. */
function drawGlyphs(item: GlyphItem, context: ContentContext): string {
  const font = context.font(item.font);
  const [first] = item.glyphs;
  if (!font || !first) return '';
  const thousandth = item.size / 1000;
  let name = '';
  let out = '';
  let open = '';
  let pen = { x: first.x, y: first.y };
  const close = () => {
    if (open) out += `[${open}] TJ\n`;
    open = '';
  };
  const start = (x: number, y: number) => {
    close();
    out += `1 0 0 -1 ${num(x)} ${num(y)} Tm\n`;
    pen = { x, y };
  };
  start(first.x, first.y);
  for (const glyph of item.glyphs) {
    name = context.resources.font(item.font, glyph.gid, glyph.text);
    if (Math.abs(glyph.y - pen.y) > 1e-6) start(glyph.x, glyph.y);
    const adjust = Math.round(((pen.x - glyph.x) / thousandth) * 1000) / 1000;
    if (adjust !== 0) open += `${num(adjust)} `;
    open += `<${glyph.gid.toString(16).padStart(4, '0')}> `;
    // What a reader will believe: the adjustment and the width as they are written.
    pen = { x: pen.x - adjust * thousandth + pdfWidth(font, glyph.gid) * thousandth, y: glyph.y };
  }
  close();
  return `${state(item.ink, item.opacity, context)}${colour(item.ink, 'fill', context)}BT\n/${name} ${num(item.size)} Tf\n${out}ET\n`;
}

/** Glyph width in thousandths of the em, as written in the font dictionary. */
export const pdfWidth = (font: ShapingFont, gid: number): number =>
  Math.round((font.advance(gid) / font.unitsPerEm) * 1e6) / 1e3;

function drawPicture(item: PictureItem, context: ContentContext): string {
  const { clip, image } = item;
  const gs = context.resources.state(false, item.opacity);
  return (
    `/${gs} gs\n${[clip.x, clip.y, clip.width, clip.height].map(num).join(' ')} re W n\n` +
    `${[image.width, 0, 0, -image.height, image.x, image.y + image.height].map(num).join(' ')} cm\n` +
    `/${context.resources.picture(item)} Do\n`
  );
}

function state(ink: Ink, opacity: number, context: ContentContext): string {
  const overprint = context.purpose.kind === 'press' && (ink.kind !== 'process' || ink.overprint);
  return `/${context.resources.state(overprint, opacity)} gs\n`;
}

function colour(ink: Ink, use: 'fill' | 'stroke', { purpose, resources }: ContentContext): string {
  const fill = use === 'fill';
  if (purpose.kind === 'screen') {
    const { r, g, b } = purpose.toRgb(ink);
    const rgb = [r, g, b].map((v) => num(v / 255)).join(' ');
    return fill ? `/${SCREEN_SPACE} cs ${rgb} scn\n` : `/${SCREEN_SPACE} CS ${rgb} SCN\n`;
  }
  switch (ink.kind) {
    case 'process': {
      const { c, m, y, k } = ink.build;
      return `${[c, m, y, k].map((v) => num(v / 100)).join(' ')} ${fill ? 'k' : 'K'}\n`;
    }
    case 'spot': {
      const space = resources.spot(ink);
      return fill ? `/${space} cs 1 scn\n` : `/${space} CS 1 SCN\n`;
    }
    case 'registration': {
      const tint = num(ink.tint / 100);
      return fill ? `/${REGISTRATION_SPACE} cs ${tint} scn\n` : `/${REGISTRATION_SPACE} CS ${tint} SCN\n`;
    }
  }
}
