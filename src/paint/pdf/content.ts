import type { Rgb } from '../../core/colour';
import type {
  GlyphItem,
  GroupItem,
  Ink,
  Item,
  PageItem,
  Path,
  PathItem,
  PictureItem,
  ProcessLayer,
  SoftMask,
  StrokeStyle,
} from '../../core/drawing';
import { edges, grow, isIdentity, pathBounds, rectPath, type Matrix, type Rect } from '../../core/layout';
import { MM_PER_PT, formatNumber } from '../../core/measure';
import type { ShapingFont } from '../../core/type';
import { num, textString } from './objects';
import { plateColour, type Plate } from './spaces';

/** How a file states colour: as inks for the press, or as sRGB for a screen. */
export type Purpose =
  | {
      readonly kind: 'press';
      /** Older than PDF/X-4: nothing is mixed, nothing has layers, and no colour is understood by a profile. */
      readonly isFlat?: true;
    }
  | { readonly kind: 'screen'; readonly toRgb: (ink: Ink) => Rgb };

export type GradientInk = Extract<Ink, { kind: 'gradient' }>;

/** How an item mixes with what lies beneath. */
export interface Look {
  readonly overprint: boolean;
  readonly opacity: number;
  readonly blend: Item['blend'];
  /** As a page begins (ISO 32000-1, 8.4.1), for what was made without knowing of us. */
  readonly isPlain?: true;
}

/** Names given out while content is written; the document turns them into resources. */
export interface Resources {
  readonly font: (key: string, gid: number) => string;
  /**
   * Takes a text to be what a glyph of a font stands for.
   * @returns whether it does: a glyph stands for one text in the whole file
   */
  readonly stands: (key: string, gid: number, text: string) => boolean;
  readonly picture: (item: PictureItem) => string;
  readonly page: (item: PageItem) => string;
  readonly state: (look: Look) => string;
  /** The colour space of plates of their own. */
  readonly space: (plates: readonly Plate[]) => string;
  /** The property list that names a layer. */
  readonly layer: (layer: ProcessLayer) => string;
  readonly shading: (ink: GradientInk) => string;
  /** A state whose soft mask is how opaque a gradient is; `region` holds what is painted with it. */
  readonly fading: (ink: GradientInk, region: Rect) => string;
  readonly softMask: (mask: SoftMask) => string;
  readonly group: (item: GroupItem) => string;
  /** What is set down many times. */
  readonly form: (form: Form) => string;
}

export interface ContentContext {
  readonly purpose: Purpose;
  readonly resources: Resources;
  readonly font: (key: string) => ShapingFont | undefined;
}

/** Whether a file may neither mix nor have layers. */
export const isFlat = (purpose: Purpose): boolean => purpose.kind === 'press' && purpose.isFlat === true;

/** Colour space names in every page’s resources. */
export const REGISTRATION_SPACE = 'CsAll';
export const SCREEN_SPACE = 'CsRgb';

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
  return `q\n${base.map(precise).join(' ')} cm\n${partsContent(parts, context)}Q\n`;
}

/** What a page is painted with, lowest first: plain items, a layer of its own, or what is set down many times. */
export type PagePart =
  { readonly items: readonly Item[] } | { readonly layer: ProcessLayer } | { readonly placed: readonly PlacedForm[] };

/** Parts that lie in the file once, whatever number of pages and places show them. */
export interface Form {
  /** The same object for the same form. */
  readonly parts: readonly PagePart[];
  /** Box around all of it, mm. */
  readonly region: Rect;
  /** Set down at one place alone: it is written there, and not as an object of its own. */
  readonly isOnce?: true;
}

/** A form at a place of a page. */
export interface PlacedForm {
  readonly form: Form;
  /** From mm of the form to mm of the page. */
  readonly matrix: Matrix;
  /** Beyond this nothing of it is seen, mm of the page. */
  readonly clip: Rect;
}

/** Items of a part, those of its forms among them. */
export const itemsOfPart = (part: PagePart): readonly Item[] =>
  'items' in part
    ? part.items
    : 'layer' in part
      ? []
      : [...new Set(part.placed.map(({ form }) => form))].flatMap(({ parts }) => parts.flatMap(itemsOfPart));

export const partsContent = (parts: readonly PagePart[], context: ContentContext): string =>
  parts.map((part) => drawPart(part, context)).join('');

function drawPart(part: PagePart, context: ContentContext): string {
  if ('items' in part) return itemsContent(part.items, context);
  if ('placed' in part) return part.placed.map((placed) => drawPlaced(placed, context)).join('');
  const drawn = itemsContent(part.layer.items, context);
  if (isFlat(context.purpose)) return drawn;
  return `/OC /${context.resources.layer(part.layer)} BDC\n${drawn}EMC\n`;
}

function drawPlaced({ form, matrix, clip }: PlacedForm, context: ContentContext): string {
  const drawn = form.isOnce ? partsContent(form.parts, context) : `/${context.resources.form(form)} Do\n`;
  const set = isIdentity(matrix) ? '' : `${matrixOf(matrix)} cm\n`;
  return `q\n${pathOperators(rectPath(clip))}W n\n${set}${drawn}Q\n`;
}

export const itemsContent = (items: readonly Item[], context: ContentContext): string =>
  items.map((item) => drawItem(item, context)).join('');

/** The page matrix carries ten decimals, so that a box 20 m away still lands within a thousandth of a point. */
const precise = (value: number): string => formatNumber(value, 10);

function drawItem(item: Item, context: ContentContext): string {
  const clip = item.clip ? `${pathOperators(item.clip.path)}${item.clip.rule === 'evenodd' ? 'W*' : 'W'} n\n` : '';
  const matrix = isIdentity(item.matrix) ? '' : `${matrixOf(item.matrix)} cm\n`;
  return `q\n${clip}${matrix}${draw(item, context)}Q\n`;
}

export const matrixOf = (m: Matrix): string => m.map(precise).join(' ');

function draw(item: Item, context: ContentContext): string {
  switch (item.kind) {
    case 'path':
      return drawPath(item, context);
    case 'glyphs':
      return drawGlyphs(item, context);
    case 'picture':
      return drawPicture(item, context);
    case 'page':
      return drawPage(item, context);
    case 'group':
      return drawGroup(item, context);
  }
}

function drawPath(item: PathItem, context: ContentContext): string {
  const outline = pathOperators(item.path);
  const star = item.rule === 'evenodd' ? '*' : '';
  let out = '';
  if (item.fill?.kind === 'gradient')
    out += shaded(item.fill, `${outline}W${star} n\n`, pathBounds(item.path), item, context);
  else if (item.fill)
    out += `${state(item.fill, item, context)}${colour(item.fill, 'fill', context)}${outline}f${star}\n`;
  if (item.stroke) {
    const { stroke } = item;
    const look = `${state(stroke.ink, item, context)}${colour(stroke.ink, 'stroke', context)}`;
    if (stroke.align) {
      // Twice as wide, and cut away on one side of the path.
      const outer =
        stroke.align === 'out' ? pathOperators(rectPath(grow(pathBounds(item.path), edges(stroke.width * 4)))) : '';
      const rule = stroke.align === 'out' ? '*' : star;
      out += `q\n${outer}${outline}W${rule} n\n${look}${lineStyle(stroke, stroke.width * 2)}${outline}S\nQ\n`;
    } else out += `${look}${lineStyle(stroke, stroke.width)}${outline}S\n`;
  }
  return out;
}

const CAPS = { butt: 0, round: 1, square: 2 } as const;
const JOINS = { miter: 0, round: 1, bevel: 2 } as const;

const lineStyle = ({ cap, join, dash }: StrokeStyle, width: number): string =>
  `${num(width)} w ${CAPS[cap]} J ${JOINS[join ?? 'miter']} j [${dash.map(num).join(' ')}] 0 d\n`;

/** A gradient painted through a clip: a shading, never strips. */
function shaded(ink: GradientInk, clip: string, region: Rect, item: Item, context: ContentContext): string {
  const { resources } = context;
  const fades = ink.stops.some((stop) => stop.opacity < 1);
  const fade = fades ? `/${resources.fading(ink, region)} gs\n` : '';
  return `q\n${clip}${state(ink, item, context)}${fade}/${resources.shading(ink)} sh\nQ\n`;
}

export function pathOperators(path: Path): string {
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
  for (const cluster of clustersOf(item.glyphs)) {
    const said = isSaid(cluster, item.font, context.resources);
    if (!said) {
      close();
      out += `/Span <</ActualText ${textString(textOf(cluster)).toString()}>> BDC\n`;
    }
    for (const glyph of cluster) {
      name = context.resources.font(item.font, glyph.gid);
      if (Math.abs(glyph.y - pen.y) > 1e-6) start(glyph.x, glyph.y);
      const adjust = Math.round(((pen.x - glyph.x) / thousandth) * 1000) / 1000;
      if (adjust !== 0) open += `${num(adjust)} `;
      open += `<${glyph.gid.toString(16).padStart(4, '0')}> `;
      // What a reader will believe: the adjustment and the width as they are written.
      pen = { x: pen.x - adjust * thousandth + pdfWidth(font, glyph.gid) * thousandth, y: glyph.y };
    }
    if (!said) {
      close();
      out += 'EMC\n';
    }
  }
  close();
  const { stroke } = item;
  const rim = stroke ? `${colour(stroke.ink, 'stroke', context)}${lineStyle(stroke, stroke.width)}` : '';
  const mode = stroke ? `${item.hollow ? 1 : 2} Tr\n` : '';
  return (
    `${state(item.ink, item, context)}${colour(item.ink, 'fill', context)}${rim}BT\n${mode}/${name} ` +
    `${num(item.size)} Tf\n${out}ET\n`
  );
}

type Glyphs = GlyphItem['glyphs'];

/** Glyphs that stand for a text together: one that has text, and those after it that have none. */
function clustersOf(glyphs: Glyphs): readonly Glyphs[] {
  const clusters: Glyphs[number][][] = [];
  for (const glyph of glyphs) {
    const open = clusters.at(-1);
    if (open && glyph.text === '') open.push(glyph);
    else clusters.push([glyph]);
  }
  return clusters;
}

const textOf = (cluster: Glyphs): string => cluster.map((glyph) => glyph.text).join('');

/**
 * Whether a reader can tell a cluster’s text from its glyphs alone: a glyph by its text, several by a character each.
 * What was said of a glyph before stays; where the same glyph means something else, the text has to be written beside
 * it.
 */
function isSaid(cluster: Glyphs, font: string, { stands }: Resources): boolean {
  const characters = Array.from(textOf(cluster));
  if (characters.length === 0) return true;
  const [only] = cluster;
  if (cluster.length === 1 && only) return stands(font, only.gid, only.text);
  if (cluster.length !== characters.length) return false;
  // All of them are asked, so that each has its meaning for the next time.
  return cluster.map((glyph, i) => stands(font, glyph.gid, characters[i] ?? '')).every(Boolean);
}

/** Glyph width in thousandths of the em, as written in the font dictionary. */
export const pdfWidth = (font: ShapingFont, gid: number): number =>
  Math.round((font.advance(gid) / font.unitsPerEm) * 1e6) / 1e3;

const PLAIN = { overprint: false } as const;

/** An image or a page fills the unit square with its foot at the bottom. */
const unitSquare = (r: Rect): string => `${[r.width, 0, 0, -r.height, r.x, r.y + r.height].map(num).join(' ')} cm\n`;

function drawPicture(item: PictureItem, context: ContentContext): string {
  const { frame, image, content, opacity, blend } = item;
  const gs = context.resources.state({ ...PLAIN, opacity, blend });
  // A blurred picture was encoded with what its blur reaches beyond it.
  const whole = item.blur ? grow(image, edges(3 * item.blur)) : image;
  return (
    `/${gs} gs\n${[frame.x, frame.y, frame.width, frame.height].map(num).join(' ')} re W n\n` +
    (content ? `${matrixOf(content)} cm\n` : '') +
    `${unitSquare(whole)}/${context.resources.picture(item)} Do\n`
  );
}

/** The graphics state with which a page begins, where it differs from ours (ISO 32000-1, 8.4.1 and 9.3.1). */
const PAGE_START = '0 g 0 G 1 w 0 J 0 j 10 M [] 0 d 0 Tc 0 Tw 100 Tz 0 TL 0 Tr 0 Ts\n';

function drawPage(item: PageItem, context: ContentContext): string {
  const { opacity, blend } = item;
  const gs = context.resources.state({ ...PLAIN, opacity, blend, isPlain: true });
  return `/${gs} gs\n${PAGE_START}${unitSquare(item.image)}/${context.resources.page(item)} Do\n`;
}

function drawGroup(item: GroupItem, context: ContentContext): string {
  const { resources } = context;
  const { opacity, blend } = item;
  const mask = item.mask ? `/${resources.softMask(item.mask)} gs\n` : '';
  return `/${resources.state({ ...PLAIN, opacity, blend })} gs\n${mask}/${resources.group(item)} Do\n`;
}

function state(ink: Ink, { opacity, blend }: Item, context: ContentContext): string {
  const overprint = context.purpose.kind === 'press' && isLaidOver(ink);
  return `/${context.resources.state({ overprint, opacity, blend })} gs\n`;
}

/** Whether an ink leaves the plates beneath as they are. */
function isLaidOver(ink: Ink): boolean {
  switch (ink.kind) {
    case 'process':
      return ink.overprint;
    case 'technical':
      return !ink.knocksOut;
    case 'registration':
      return true;
    case 'gradient':
      return ink.overprint ?? false;
  }
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
      if (ink.spots) {
        const { plates, tints } = plateColour(ink);
        const [space, set] = fill ? ['cs', 'scn'] : ['CS', 'SCN'];
        return `/${resources.space(plates)} ${space} ${tints.map(num).join(' ')} ${set}\n`;
      }
      const { c, m, y, k } = ink.build;
      return `${[c, m, y, k].map((v) => num(v / 100)).join(' ')} ${fill ? 'k' : 'K'}\n`;
    }
    case 'technical': {
      const space = resources.space([ink]);
      const tint = num((ink.tint ?? 100) / 100);
      return fill ? `/${space} cs ${tint} scn\n` : `/${space} CS ${tint} SCN\n`;
    }
    case 'registration': {
      const tint = num(ink.tint / 100);
      return fill ? `/${REGISTRATION_SPACE} cs ${tint} scn\n` : `/${REGISTRATION_SPACE} CS ${tint} SCN\n`;
    }
    case 'gradient':
      // Painted as a shading, never as a colour.
      return '';
  }
}
