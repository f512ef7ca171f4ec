import { writeHex, type ColourEngine } from '../../core/colour';
import type { GlyphItem, Ink, Item, Path, PictureItem, Segment } from '../../core/drawing';
import { isIdentity, type Matrix, type Rect } from '../../core/layout';
import type { FontSet } from '../../core/type';

/** What the SVG reader needs beside the items. */
export interface SvgContext {
  readonly fonts: Pick<FontSet, 'file'>;
  readonly colour: Pick<ColourEngine, 'toRgb'>;
  /** Where a picture can be loaded from. */
  readonly picture: (sha: string) => string;
}

/** At most four decimals: a ten-thousandth of a millimetre. */
const n = (value: number): string => String(Math.round(value * 1e4) / 1e4);

export function pathData(path: Path, at: (s: Segment) => Segment = (s) => s): string {
  return path
    .map((segment) => {
      const [op, ...numbers] = at(segment);
      return op + numbers.map(n).join(' ');
    })
    .join('');
}

/** Draws items as an SVG fragment in millimetres. Everything variable in it is a number, a hash or escaped. */
export function svgItems(items: readonly Item[], context: SvgContext): string {
  return items.map((item) => wrap(item, drawItem(item, context))).join('');
}

function drawItem(item: Item, context: SvgContext): string {
  switch (item.kind) {
    case 'path': {
      const fill = item.fill ? screen(item.fill, context) : 'none';
      const s = item.stroke;
      const stroke = s
        ? ` stroke="${screen(s.ink, context)}" stroke-width="${n(s.width)}" stroke-linecap="${s.cap}"` +
          (s.dash.length > 0 ? ` stroke-dasharray="${s.dash.map(n).join(' ')}"` : '')
        : '';
      return `<path d="${pathData(item.path)}" fill="${fill}"${stroke}/>`;
    }
    case 'glyphs':
      return `<path d="${glyphOutlines(item, context)}" fill="${screen(item.ink, context)}"/>`;
    case 'picture':
      return drawPicture(item, context);
  }
}

/** One path for the whole run: far fewer nodes than a path a glyph. */
function glyphOutlines(item: GlyphItem, context: SvgContext): string {
  const font = context.fonts.file(item.font);
  if (!font) return '';
  const scale = item.size / font.unitsPerEm;
  return item.glyphs
    .map((glyph) => {
      const x = (u: number) => glyph.x + u * scale;
      const y = (v: number) => glyph.y - v * scale;
      return pathData(font.outline(glyph.gid), (s): Segment => {
        switch (s[0]) {
          case 'M':
          case 'L':
            return [s[0], x(s[1]), y(s[2])];
          case 'C':
            return ['C', x(s[1]), y(s[2]), x(s[3]), y(s[4]), x(s[5]), y(s[6])];
          case 'Z':
            return s;
        }
      });
    })
    .join('');
}

function drawPicture({ image, clip, picture }: PictureItem, context: SvgContext): string {
  // A nested viewport crops without a clip path, and so needs no id.
  const box = `x="${n(clip.x)}" y="${n(clip.y)}" width="${n(clip.width)}" height="${n(clip.height)}"`;
  const inner = `x="${n(image.x - clip.x)}" y="${n(image.y - clip.y)}" width="${n(image.width)}" height="${n(image.height)}"`;
  const href = escapeXml(context.picture(picture));
  return `<svg ${box} overflow="hidden"><image ${inner} preserveAspectRatio="none" href="${href}"/></svg>`;
}

function wrap(item: Item, drawn: string): string {
  const opacity = item.opacity < 1 ? ` opacity="${n(item.opacity)}"` : '';
  const transform = isIdentity(item.matrix) ? '' : ` transform="${svgMatrix(item.matrix)}"`;
  return opacity || transform ? `<g${opacity}${transform}>${drawn}</g>` : drawn;
}

export const svgMatrix = (m: Matrix): string => `matrix(${m.map((v) => String(Math.round(v * 1e7) / 1e7)).join(' ')})`;

function screen(ink: Ink, context: SvgContext): string {
  switch (ink.kind) {
    case 'process':
      return writeHex(context.colour.toRgb(ink.build));
    case 'spot':
      return writeHex(context.colour.toRgb(ink.shown));
    case 'registration':
      return '#000000';
  }
}

const escapeXml = (text: string): string => text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);

/** A whole SVG file of items, showing one box of the surface on white paper. */
export function svgPage(items: readonly Item[], view: Rect, context: SvgContext): string {
  const box = [view.x, view.y, view.width, view.height].map(n);
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${box.join(' ')}" width="${box[2]}mm" height="${box[3]}mm">` +
    `<rect x="${box[0]}" y="${box[1]}" width="${box[2]}" height="${box[3]}" fill="#ffffff"/>` +
    `${svgItems(items, context)}</svg>`
  );
}
