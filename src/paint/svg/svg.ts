import { shownBuild, writeHex, type ColourEngine } from '../../core/colour';
import {
  dilatedOutlines,
  dilate,
  type Clip,
  type GlyphItem,
  type Ink,
  type Item,
  type PageItem,
  type Path,
  type PictureItem,
  type Segment,
  type SoftMask,
  type StrokeStyle,
} from '../../core/drawing';
import { grow, edges, isIdentity, pathBounds, rectPath, type Matrix, type Point, type Rect } from '../../core/layout';
import type { FontSet, ShapingFont } from '../../core/type';
import { mixed } from '../mixed-stops';

/** What the SVG reader needs beside the items. */
export interface SvgContext {
  readonly fonts: Pick<FontSet, 'file'>;
  readonly colour: Pick<ColourEngine, 'toRgb'>;
  /** Where a picture can be loaded from. */
  readonly picture: (item: PictureItem) => string;
  /** Where a picture of a document’s page can be loaded from. */
  readonly page: (item: PageItem) => string;
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

/** What is drawn by reference: gradients, clips, masks and filters, each with an id of its own. */
class Definitions {
  constructor(
    private readonly scope: string,
    readonly context: SvgContext,
    private readonly count = { ids: 0 },
  ) {}

  id(): string {
    this.count.ids += 1;
    return `${this.scope}${this.count.ids}`;
  }

  /** The same for a mask, in which black is black and not what the press makes of it. */
  get forMask(): Definitions {
    return new Definitions(this.scope, { ...this.context, colour: BLACK_AND_WHITE }, this.count);
  }
}

const BLACK_AND_WHITE: SvgContext['colour'] = {
  toRgb: ({ k }) => (k > 50 ? { r: 0, g: 0, b: 0 } : { r: 255, g: 255, b: 255 }),
};

/**
 * Draws items as an SVG fragment in millimetres. Everything variable in it is a number, a hash or escaped.
 * @param scope begins every id in it, so that fragments can stand in one document
 */
export function svgItems(items: readonly Item[], context: SvgContext, scope = 'd'): string {
  const defs = new Definitions(scope, context);
  return items.map((item) => svgItem(item, defs)).join('');
}

function svgItem(item: Item, defs: Definitions): string {
  return wrap(item, drawItem(item, defs), defs);
}

function drawItem(item: Item, defs: Definitions): string {
  const { context } = defs;
  switch (item.kind) {
    case 'path': {
      const paint = item.fill ? fillOf(item.fill, defs) : { defs: '', value: 'none' };
      const rule = item.rule ? ' fill-rule="evenodd"' : '';
      const { stroke } = item;
      const d = pathData(item.path);
      if (!stroke?.align) {
        const stroked = stroke ? strokeAttributes(stroke, stroke.width, defs) : '';
        return `${paint.defs}<path d="${d}" fill="${paint.value}"${rule}${stroked}/>`;
      }
      const filled = item.fill ? `${paint.defs}<path d="${d}" fill="${paint.value}"${rule}/>` : '';
      return filled + alignedStroke(item.path, stroke, item.rule === 'evenodd', defs);
    }
    case 'glyphs': {
      const stroked = item.stroke ? strokeAttributes(item.stroke, item.stroke.width, defs) : '';
      return (
        `<path d="${glyphOutlines(item, context)}" ` +
        `fill="${item.hollow ? 'none' : screen(item.ink, context)}"${stroked}/>`
      );
    }
    case 'picture':
      return drawPicture(item, defs);
    case 'page':
      return image(item.image, context.page(item));
    case 'group':
      return item.mask ? throughMask(item.items, item.mask, defs) : item.items.map((i) => svgItem(i, defs)).join('');
  }
}

function strokeAttributes(s: StrokeStyle, width: number, { context }: Definitions): string {
  return (
    ` stroke="${screen(s.ink, context)}" stroke-width="${n(width)}" stroke-linecap="${s.cap}"` +
    (s.join ? ` stroke-linejoin="${s.join}"` : ' stroke-miterlimit="10"') +
    (s.dash.length > 0 ? ` stroke-dasharray="${s.dash.map(n).join(' ')}"` : '')
  );
}

/** A stroke on one side of its path: twice as wide, and cut away on the other. */
function alignedStroke(path: Path, s: StrokeStyle, evenodd: boolean, defs: Definitions): string {
  const id = defs.id();
  const d = pathData(path);
  const outer = s.align === 'out' ? pathData(rectPath(grow(pathBounds(path), edges(s.width * 4)))) : '';
  const rule = s.align === 'out' || evenodd ? ' clip-rule="evenodd"' : '';
  return (
    `<clipPath id="${id}"><path d="${outer}${d}"${rule}/></clipPath>` +
    `<path d="${d}" fill="none" clip-path="url(#${id})"${strokeAttributes(s, s.width * 2, defs)}/>`
  );
}

/** A fill, and what it refers to. */
function fillOf(ink: Ink, defs: Definitions): { readonly defs: string; readonly value: string } {
  if (ink.kind !== 'gradient') return { defs: '', value: screen(ink, defs.context) };
  const id = defs.id();
  const stops = mixed(ink.stops)
    .map(({ at, build, opacity }) => {
      const clear = opacity < 1 ? ` stop-opacity="${n(opacity)}"` : '';
      return `<stop offset="${n(at)}" stop-color="${writeHex(defs.context.colour.toRgb(build))}"${clear}/>`;
    })
    .join('');
  const { run } = ink;
  const drawn =
    run.kind === 'linear'
      ? `<linearGradient id="${id}" gradientUnits="userSpaceOnUse" x1="${n(run.from.x)}" y1="${n(run.from.y)}" ` +
        `x2="${n(run.to.x)}" y2="${n(run.to.y)}">${stops}</linearGradient>`
      : `<radialGradient id="${id}" gradientUnits="userSpaceOnUse" cx="${n(run.centre.x)}" ` +
        `cy="${n(run.centre.y)}" r="${n(run.radius)}">${stops}</radialGradient>`;
  return { defs: drawn, value: `url(#${id})` };
}

const outlined = new WeakMap<GlyphItem['glyphs'], string>();

/**
 * One path for the whole run: far fewer nodes than a path a glyph. A run that is painted again is not written again.
 */
function glyphOutlines(item: GlyphItem, context: SvgContext): string {
  const before = outlined.get(item.glyphs);
  if (before !== undefined) return before;
  const made = writtenOutlines(item, context);
  outlined.set(item.glyphs, made);
  return made;
}

function writtenOutlines(item: GlyphItem, context: SvgContext): string {
  const font = context.fonts.file(item.font);
  if (!font) return '';
  const scale = item.size / font.unitsPerEm;
  return item.glyphs
    .map(({ gid, x, y }) => {
      const { from, rest } = outlineOf(font, gid, scale);
      return rest === '' ? '' : `M${n(x + from.x)} ${n(y + from.y)}${rest}`;
    })
    .join('');
}

/** The outline of a glyph: where it begins, from its origin, and the rest of it from there on, in relative steps. */
interface WrittenOutline {
  readonly from: Point;
  readonly rest: string;
}

const written = new WeakMap<ShapingFont, Map<string, WrittenOutline>>();

/** A glyph is written once at a size, and begins elsewhere each time: a letter typed moves all that follow it. */
function outlineOf(font: ShapingFont, gid: number, scale: number): WrittenOutline {
  const ofFont = written.get(font) ?? new Map<string, WrittenOutline>();
  written.set(font, ofFont);
  const key = `${gid} ${scale}`;
  const before = ofFont.get(key);
  if (before) return before;
  const made = relativeOutline(font.outline(gid), scale);
  ofFont.set(key, made);
  return made;
}

/** To four decimals of a millimetre, like every other number. */
const rounded = (value: number): number => Math.round(value * 1e4) / 1e4;

/** @param path a glyph’s outline in units of its font, upwards */
function relativeOutline(path: Path, scale: number): WrittenOutline {
  // Steps lead from one rounded point to the next, so that what is rounded off does not add up.
  const point = (u: number, v: number): Point => ({ x: rounded(u * scale), y: rounded(-v * scale) });
  let at: Point | undefined;
  let start: Point = { x: 0, y: 0 };
  let from = start;
  let rest = '';
  const step = (to: Point): string => `${n(to.x - (at?.x ?? 0))} ${n(to.y - (at?.y ?? 0))}`;
  for (const s of path)
    switch (s[0]) {
      case 'M': {
        const to = point(s[1], s[2]);
        if (at) rest += `m${step(to)}`;
        else from = to;
        start = at = to;
        break;
      }
      case 'L': {
        const to = point(s[1], s[2]);
        rest += `l${step(to)}`;
        at = to;
        break;
      }
      case 'C': {
        const to = point(s[5], s[6]);
        rest += `c${step(point(s[1], s[2]))} ${step(point(s[3], s[4]))} ${step(to)}`;
        at = to;
        break;
      }
      case 'Z':
        rest += 'z';
        at = start;
        break;
    }
  return { from, rest };
}

const image = (r: Rect, href: string): string =>
  `<image x="${n(r.x)}" y="${n(r.y)}" width="${n(r.width)}" height="${n(r.height)}" ` +
  `preserveAspectRatio="none" href="${escapeXml(href)}"/>`;

function drawPicture(item: PictureItem, defs: Definitions): string {
  const { frame, content, flat } = item;
  // A nested viewport crops without a clip path, and so needs no id.
  const box = `x="${n(frame.x)}" y="${n(frame.y)}" width="${n(frame.width)}" height="${n(frame.height)}"`;
  const view = `viewBox="${[frame.x, frame.y, frame.width, frame.height].map(n).join(' ')}"`;
  const drawn = image(item.image, defs.context.picture(item));
  const turned = content ? `<g transform="${svgMatrix(content)}">${drawn}</g>` : drawn;
  const one = flat ? inOneColour(screen(flat, defs.context), frame, defs) : undefined;
  const whole = one ? `${one.defs}<g filter="url(#${one.id})">${turned}</g>` : turned;
  return `<svg ${box} ${view} preserveAspectRatio="none" overflow="hidden">${whole}</svg>`;
}

const filterArea = (r: Rect): string =>
  `filterUnits="userSpaceOnUse" x="${n(r.x)}" y="${n(r.y)}" width="${n(r.width)}" height="${n(r.height)}" ` +
  'color-interpolation-filters="sRGB"';

/** Everything that is drawn, in one colour, as opaque as it was. */
function inOneColour(hex: string, region: Rect, defs: Definitions): { readonly id: string; readonly defs: string } {
  const id = defs.id();
  const flood = `<feFlood flood-color="${hex}"/><feComposite in2="SourceGraphic" operator="in"/>`;
  return { id, defs: `<filter id="${id}" ${filterArea(region)}>${flood}</filter>` };
}

function blurredBy(sigma: number, region: Rect, defs: Definitions): { readonly id: string; readonly defs: string } {
  const id = defs.id();
  return {
    id,
    defs: `<filter id="${id}" ${filterArea(region)}><feGaussianBlur stdDeviation="${n(sigma)}"/></filter>`,
  };
}

const WHITE = { kind: 'process', build: { c: 0, m: 0, y: 0, k: 0 }, overprint: false } as const;
const BLACK = { kind: 'process', build: { c: 0, m: 0, y: 0, k: 100 }, overprint: false } as const;

/** Items seen as far as a soft mask lets them. One flat colour is drawn as the blurred shape itself: far cheaper. */
function throughMask(items: readonly Item[], mask: SoftMask, defs: Definitions): string {
  const soft = mask.blur > 0 ? blurredBy(mask.blur, mask.region, defs) : undefined;
  const filter = soft ? ` filter="url(#${soft.id})"` : '';
  const [only] = items;
  if (items.length === 1 && only?.kind === 'path' && only.fill?.kind === 'process' && !only.stroke && mask.grow >= 0) {
    const shape = dilate(mask.of, only.fill, mask.grow)
      .map((i) => svgItem(i, defs))
      .join('');
    const clear = only.opacity < 1 ? ` opacity="${n(only.opacity)}"` : '';
    return `${soft?.defs ?? ''}<g${filter}${clear}>${shape}</g>`;
  }
  // A blurred picture is blurred by the screen itself, its edge with it.
  const [sharp] = mask.of;
  if (items.length === 1 && only?.kind === 'picture' && only.blur && sharp?.kind === 'picture')
    return `${soft?.defs ?? ''}<g${filter}>${svgItem(sharp, defs)}</g>`;
  const id = defs.id();
  const { x, y, width, height } = mask.region;
  return (
    `${soft?.defs ?? ''}<mask id="${id}" maskUnits="userSpaceOnUse" x="${n(x)}" y="${n(y)}" ` +
    `width="${n(width)}" height="${n(height)}">` +
    `<g${filter}>${silhouette(mask, defs.forMask)}</g></mask>` +
    `<g mask="url(#${id})">${items.map((i) => svgItem(i, defs)).join('')}</g>`
  );
}

/** Clip, opacity and mixing apply to what the matrix has set down. */
function wrap(item: Item, drawn: string, defs: Definitions): string {
  const transform = isIdentity(item.matrix) ? '' : ` transform="${svgMatrix(item.matrix)}"`;
  const opacity = item.opacity < 1 ? ` opacity="${n(item.opacity)}"` : '';
  const blend = item.blend ? ` style="mix-blend-mode:${item.blend}"` : '';
  const clip = item.clip ? clipOf(item.clip, defs) : { defs: '', value: '' };
  const outer = `${opacity}${blend}${clip.value}`;
  if (!clip.value) return outer || transform ? `<g${outer}${transform}>${drawn}</g>` : drawn;
  return `${clip.defs}<g${outer}>${transform ? `<g${transform}>${drawn}</g>` : drawn}</g>`;
}

function clipOf({ path, rule }: Clip, defs: Definitions): { readonly defs: string; readonly value: string } {
  const id = defs.id();
  const evenodd = rule === 'evenodd' ? ' clip-rule="evenodd"' : '';
  return {
    defs: `<clipPath id="${id}"><path d="${pathData(path)}"${evenodd}/></clipPath>`,
    value: ` clip-path="url(#${id})"`,
  };
}

export const svgMatrix = (m: Matrix): string => `matrix(${m.map((v) => String(Math.round(v * 1e7) / 1e7)).join(' ')})`;

function screen(ink: Ink, context: SvgContext): string {
  switch (ink.kind) {
    case 'process':
      return writeHex(context.colour.toRgb(shownBuild(ink)));
    case 'technical':
      return writeHex(context.colour.toRgb(ink.shown));
    case 'registration':
      return '#000000';
    case 'gradient':
      return writeHex(context.colour.toRgb(shownBuild(ink.stops[0] ?? WHITE)));
  }
}

const escapeXml = (text: string): string => text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);

/** A whole SVG file of items, showing one box of the surface on white paper. */
export function svgPage(items: readonly Item[], view: Rect, context: SvgContext): string {
  return svgDocument(
    view,
    `<rect x="${n(view.x)}" y="${n(view.y)}" width="${n(view.width)}" height="${n(view.height)}" ` +
      `fill="#ffffff"/>${svgItems(items, context)}`,
  );
}

/** An SVG file in millimetres that shows one box. */
export function svgDocument(view: Rect, drawn: string): string {
  const box = [view.x, view.y, view.width, view.height].map(n);
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${box.join(' ')}" width="${box[2]}mm" ` +
    `height="${box[3]}mm">${drawn}</svg>`
  );
}

/** What a soft mask lets through, before it is blurred: on black ground, white. */
export const svgMask = (mask: SoftMask, context: SvgContext): string =>
  svgDocument(mask.region, silhouette(mask, new Definitions('m', context).forMask));

/** White lets through. A shrunken silhouette is white with its own rim in black over it. */
function silhouette({ of, grow: by, region }: SoftMask, defs: Definitions): string {
  const draw = (items: readonly Item[]) => items.map((i) => svgItem(i, defs)).join('');
  const white = draw(dilate(of, WHITE, Math.max(by, 0)));
  const rim = by < 0 ? draw(dilatedOutlines(of, BLACK, -by)) : '';
  return `<path d="${pathData(rectPath(region))}" fill="#000000"/>${white}${rim}`;
}
