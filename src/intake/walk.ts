import { PDFDict, PDFName, PDFStream, type PDFObject } from '@cantoo/pdf-lib';
import {
  IDENTITY,
  apply,
  around,
  intersection,
  multiply,
  union,
  type Matrix,
  type Point,
  type Rect,
} from '../core/geometry';
import { GREY, colourIn, spaceOf, type Space } from './colour-of';
import type { Colour, Painted } from './painted';
import { missingIn } from './glyphs-of';
import { dictOf, entry, listOf, name, nameText, numbersOf, operationsOf, resolved, unpacked } from './pdf';
import type { Opened, Operation, Token } from './pdf';

/** Forms within forms are followed so deep, and so many things of a page are kept [own]. */
const [DEEP, MOST] = [24, 200_000];

interface Using {
  readonly space: Space;
  readonly values: readonly number[];
  /** A pattern of its own colours, laid like tiles. */
  readonly tile?: PDFStream;
}

/** The graphics state, as far as it says what is laid down (ISO 32000-1, 8.4). */
interface State {
  readonly ctm: Matrix;
  readonly clip: Rect;
  readonly fill: Using;
  readonly stroke: Using;
  readonly width: number;
  readonly font: PDFDict | undefined;
  readonly size: number;
  readonly stretch: number;
  readonly invisible: boolean;
  readonly overprintsFill: boolean;
  readonly overprintsStroke: boolean;
  readonly transparent: { readonly fill: boolean; readonly stroke: boolean; readonly all: boolean };
}

/** What is gathered on the way. */
export interface Gathering {
  readonly file: Opened;
  readonly painted: Painted[];
  readonly unseen: Painted[];
  /** What a tile or a glyph lays down, gone through once. */
  readonly laid: Map<PDFStream, readonly Painted[]>;
  /** Pages on which words are set in a font. */
  readonly fonts: Map<PDFDict, Set<number>>;
  readonly unreadable: { page: number; why: string }[];
}

interface Place {
  readonly page: number;
  readonly resources: PDFDict;
  readonly deep: number;
}

const BLACK: Using = { space: GREY, values: [0] };

/** What a page lays on paper. @param clip the page’s own box */
export function walkPage(gathering: Gathering, bytes: Uint8Array, resources: PDFDict, page: number, clip: Rect): void {
  walk(
    gathering,
    bytes,
    { page, resources, deep: 0 },
    {
      ctm: IDENTITY,
      clip,
      fill: BLACK,
      stroke: BLACK,
      width: 1,
      font: undefined,
      size: 0,
      stretch: 1,
      invisible: false,
      overprintsFill: false,
      overprintsStroke: false,
      transparent: { fill: false, stroke: false, all: false },
    },
  );
}

/** How large lengths of a matrix come out: the square root of its area. */
const scaleOf = ([a, b, c, d]: Matrix): number => Math.sqrt(Math.abs(a * d - b * c));

function walk(gathering: Gathering, bytes: Uint8Array, place: Place, from: State): void {
  const { file } = gathering;
  const { resources, page } = place;
  let operations: readonly Operation[];
  try {
    operations = operationsOf(bytes);
  } catch (error) {
    gathering.unreadable.push({ page, why: error instanceof Error ? error.message : String(error) });
    return;
  }
  const named = (kind: string, token: Token | undefined): PDFObject | undefined =>
    token?.kind === 'name'
      ? resolved(file, dictOf(file, resources.get(name(kind)))?.get(PDFName.of(token.text)))
      : undefined;
  let state = from;
  const stack: State[] = [];
  /** Points of each part of the path that is begun. */
  let parts: Point[][] = [];
  let clips = false;
  let text: Matrix = IDENTITY;
  let line: Matrix = IDENTITY;

  const keep = (thing: Painted): void => {
    if (gathering.painted.length < MOST && isSeen(thing.box)) gathering.painted.push(thing);
  };
  const common = (box: Rect, isStroke: boolean) => ({
    page,
    box: intersection(box, state.clip),
    overprint: isStroke ? state.overprintsStroke : state.overprintsFill,
    isTransparent: state.transparent.all || (isStroke ? state.transparent.stroke : state.transparent.fill),
  });
  const colour = ({ space, values }: Using): Colour => colourIn(space, values);
  const begin = () => parts.push([]);
  const put = (x: number, y: number) => {
    if (parts.length === 0) begin();
    parts.at(-1)?.push(apply(state.ctm, { x, y }));
  };

  /** Ends a path: what it lays down, and what it clips. */
  const paint = (fills: boolean, strokes: boolean): void => {
    const boxes = boxesOf(parts);
    for (const box of boxes) {
      if (fills) {
        keep({ kind: 'fill', ...common(box, false), colour: colour(state.fill) });
        lay(state.fill.tile, box);
      }
      if (strokes) {
        const widthPt = state.width * scaleOf(state.ctm);
        const half = widthPt / 2;
        const { x, y, width, height } = box;
        const wide = { x: x - half, y: y - half, width: width + widthPt, height: height + widthPt };
        keep({ kind: 'stroke', ...common(wide, true), colour: colour(state.stroke), widthPt });
      }
    }
    if (clips && boxes.length > 0) state = { ...state, clip: intersection(state.clip, union(boxes)) };
    parts = [];
    clips = false;
  };

  /** Words: about where they stand; how far they go on, the font’s own widths would say. */
  const show = (token: Token | undefined): void => {
    const strings = token?.kind === 'list' ? token.items : token ? [token] : [];
    const bytes = strings.reduce((sum, s) => sum + (s.kind === 'string' ? s.bytes.length : 0), 0);
    if (bytes === 0 || !state.font) return;
    const glyphs = nameText(entry(file, state.font, 'Subtype')) === 'Type0' ? bytes / 2 : bytes;
    const pages = gathering.fonts.get(state.font) ?? new Set();
    gathering.fonts.set(state.font, pages.add(page));
    const map = multiply(state.ctm, text);
    const long = glyphs * state.size * ADVANCE * state.stretch;
    const box = around(
      [
        { x: 0, y: -state.size * 0.2 },
        { x: long, y: state.size * 0.8 },
        { x: 0, y: state.size * 0.8 },
        { x: long, y: -state.size * 0.2 },
      ].map((p) => apply(map, p)),
    );
    text = multiply(text, [1, 0, 0, 1, long, 0]);
    const set: Painted = {
      kind: 'text',
      ...common(box, false),
      colour: colour(state.fill),
      sizePt: state.size * scaleOf(map),
      font: nameText(entry(file, state.font, 'BaseFont')) ?? '',
      glyphs,
      missing: missingIn(file, state.font, strings),
    };
    if (state.invisible) {
      gathering.unseen.push(set);
      return;
    }
    keep(set);
    lay(state.fill.tile, set.box);
    for (const glyph of drawnGlyphs(file, state.font)) lay(glyph, set.box, state.font);
  };

  const use = (which: 'fill' | 'stroke', using: Using) => (state = { ...state, [which]: using });
  const device = (which: 'fill' | 'stroke', key: string, operands: readonly Token[]) =>
    use(which, { space: spaceOf(file, name(key), resources), values: numbers(operands) });
  const nextLine = (x: number, y: number) => (text = line = multiply(line, [1, 0, 0, 1, x, y]));

  for (const { operator, operands } of operations) {
    const n = numbers(operands);
    const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0] = n;
    const [first] = operands;
    switch (operator) {
      case 'q':
        stack.push(state);
        break;
      case 'Q':
        state = stack.pop() ?? state;
        break;
      case 'cm':
        state = { ...state, ctm: multiply(state.ctm, [a, b, c, d, e, f]) };
        break;
      case 'w':
        state = { ...state, width: a };
        break;
      case 'gs': {
        const dict = named('ExtGState', first);
        if (dict instanceof PDFDict) state = withState(file, state, dict);
        break;
      }
      case 'm':
        begin();
        put(a, b);
        break;
      case 'l':
        put(a, b);
        break;
      case 'c':
        put(a, b);
        put(c, d);
        put(e, f);
        break;
      case 'v':
      case 'y':
        put(a, b);
        put(c, d);
        break;
      case 're':
        begin();
        put(a, b);
        put(a + c, b);
        put(a + c, b + d);
        put(a, b + d);
        break;
      case 'W':
      case 'W*':
        clips = true;
        break;
      case 'n':
        paint(false, false);
        break;
      case 'f':
      case 'F':
      case 'f*':
        paint(true, false);
        break;
      case 'S':
      case 's':
        paint(false, true);
        break;
      case 'B':
      case 'B*':
      case 'b':
      case 'b*':
        paint(true, true);
        break;
      case 'g':
        device('fill', 'DeviceGray', operands);
        break;
      case 'G':
        device('stroke', 'DeviceGray', operands);
        break;
      case 'rg':
        device('fill', 'DeviceRGB', operands);
        break;
      case 'RG':
        device('stroke', 'DeviceRGB', operands);
        break;
      case 'k':
        device('fill', 'DeviceCMYK', operands);
        break;
      case 'K':
        device('stroke', 'DeviceCMYK', operands);
        break;
      case 'cs':
      case 'CS': {
        const space = spaceOf(file, first?.kind === 'name' ? PDFName.of(first.text) : undefined, resources);
        use(operator === 'cs' ? 'fill' : 'stroke', { space, values: space.first });
        break;
      }
      case 'sc':
      case 'scn':
        use('fill', usingOf(state.fill.space, operands));
        break;
      case 'SC':
      case 'SCN':
        use('stroke', usingOf(state.stroke.space, operands));
        break;
      case 'sh': {
        const shading = dictOf(file, named('Shading', first));
        const space = spaceOf(file, shading?.get(name('ColorSpace')), resources);
        keep({ kind: 'shading', ...common(state.clip, false), colour: colourIn(space, []) });
        break;
      }
      case 'BT':
        text = line = IDENTITY;
        break;
      case 'Tf': {
        const dict = named('Font', first);
        state = { ...state, font: dict instanceof PDFDict ? dict : undefined, size: b === 0 ? a : b };
        break;
      }
      case 'Tz':
        state = { ...state, stretch: a / 100 };
        break;
      case 'Tr':
        state = { ...state, invisible: a === 3 };
        break;
      case 'Td':
      case 'TD':
        nextLine(a, b);
        break;
      case 'Tm':
        text = line = [a, b, c, d, e, f];
        break;
      case 'T*':
      case "'":
      case '"':
        nextLine(0, -state.size * 1.2);
        if (operator !== 'T*') show(operands.at(-1));
        break;
      case 'Tj':
      case 'TJ':
        show(first);
        break;
      case 'BI':
        if (first?.kind === 'dict') inlinePicture(first.entries);
        break;
      case 'Do': {
        const drawn = named('XObject', first);
        if (!(drawn instanceof PDFStream)) break;
        if (nameText(entry(file, drawn.dict, 'Subtype')) === 'Image') picture(drawn);
        else form(drawn);
        break;
      }
    }
  }

  /** A colour; of a pattern, those of its own, or those that it is laid with (ISO 32000-1, 8.7). */
  function usingOf(now: Space, operands: readonly Token[]): Using {
    const values = numbers(operands);
    const found = now.kind === 'pattern' ? named('Pattern', operands.at(-1)) : undefined;
    if (found instanceof PDFStream)
      return String(entry(file, found.dict, 'PaintType')) === '2' && now.under
        ? { space: now.under, values }
        : { space: now, values, tile: found };
    const shading = dictOf(file, found instanceof PDFDict ? found.get(name('Shading')) : undefined);
    return shading
      ? { space: spaceOf(file, shading.get(name('ColorSpace')), resources), values: [] }
      : { space: now, values };
  }

  /** What a tile, or a glyph that draws itself, lays down: each kind of it once, where it is laid. */
  function lay(stream: PDFStream | undefined, box: Rect, font?: PDFDict): void {
    if (!stream) return;
    for (const thing of gathering.laid.get(stream) ?? laidBy(stream, font))
      keep({ ...thing, page, box: intersection(box, state.clip) });
  }

  function laidBy(stream: PDFStream, font: PDFDict | undefined): readonly Painted[] {
    // One that is laid within itself is gone through no second time.
    gathering.laid.set(stream, []);
    const content = place.deep < DEEP ? bytesOf(gathering, stream, page) : undefined;
    if (!content) return [];
    const own = dictOf(file, (font ?? stream.dict).get(name('Resources'))) ?? resources;
    const matrix = numbersOf(file, (font ?? stream.dict).get(name(font ? 'FontMatrix' : 'Matrix')));
    const inner: Gathering = { ...gathering, painted: [] };
    const ctm = matrix.length === 6 ? multiply(state.ctm, matrix as unknown as Matrix) : state.ctm;
    walk(
      inner,
      content,
      { page, resources: own, deep: place.deep + 1 },
      { ...state, fill: BLACK, stroke: BLACK, ctm, clip: EVERYWHERE },
    );
    const things = font ? inner.painted.map(asArea) : inner.painted;
    const alike = new Map(things.map((thing) => [JSON.stringify({ ...thing, box: 0 }), thing]));
    const painted = [...alike.values()];
    gathering.laid.set(stream, painted);
    return painted;
  }

  function picture(image: PDFStream): void {
    const number = (key: string) => Number(String(entry(file, image.dict, key)));
    const isMask = String(entry(file, image.dict, 'ImageMask')) === 'true';
    const space = isMask ? state.fill.space : spaceOf(file, image.dict.get(name('ColorSpace')), resources);
    const hasMask = entry(file, image.dict, 'SMask') instanceof PDFStream;
    placePicture({ width: number('Width'), height: number('Height'), isMask, hasMask, space });
  }

  /** The names of its dictionary may be cut short (ISO 32000-1, table 93). */
  function inlinePicture(entries: ReadonlyMap<string, Token>): void {
    const value = (...keys: readonly string[]) => keys.map((key) => entries.get(key)).find((v) => v !== undefined);
    const number = (token: Token | undefined) => (token?.kind === 'number' ? token.value : 0);
    const mask = value('IM', 'ImageMask');
    const isMask = mask?.kind === 'word' && mask.text === 'true';
    const said = value('CS', 'ColorSpace');
    const named = said?.kind === 'name' ? PDFName.of(said.text) : undefined;
    const space = isMask ? state.fill.space : spaceOf(file, named, resources);
    const [width, height] = [number(value('W', 'Width')), number(value('H', 'Height'))];
    placePicture({ width, height, isMask, hasMask: false, space });
  }

  function placePicture({ width, height, isMask, hasMask, space }: PictureSaid): void {
    const [a, b, c, d] = state.ctm;
    const [across, down] = [Math.hypot(a, b), Math.hypot(c, d)];
    const box = around(UNIT.map((p) => apply(state.ctm, p)));
    const shared = common(box, false);
    keep({
      kind: 'picture',
      ...shared,
      isTransparent: shared.isTransparent || hasMask,
      colour: colourIn(space, isMask ? state.fill.values : []),
      width,
      height,
      ppi: 72 * Math.min(width / Math.max(across, 1e-6), height / Math.max(down, 1e-6)),
      isMask,
    });
  }

  function form(drawn: PDFStream): void {
    if (place.deep >= DEEP) {
      gathering.unreadable.push({ page, why: 'Forms lie within forms too deep to be followed.' });
      return;
    }
    const matrix = numbersOf(file, drawn.dict.get(name('Matrix')));
    const ctm = matrix.length === 6 ? multiply(state.ctm, matrix as unknown as Matrix) : state.ctm;
    const [x0 = 0, y0 = 0, x1 = 0, y1 = 0] = numbersOf(file, drawn.dict.get(name('BBox')));
    const corners = [
      { x: x0, y: y0 },
      { x: x1, y: y0 },
      { x: x1, y: y1 },
      { x: x0, y: y1 },
    ].map((p) => apply(ctm, p));
    const own = dictOf(file, drawn.dict.get(name('Resources'))) ?? resources;
    const content = bytesOf(gathering, drawn, page);
    if (!content) return;
    walk(
      gathering,
      content,
      { page, resources: own, deep: place.deep + 1 },
      {
        ...state,
        ctm,
        clip: intersection(state.clip, around(corners)),
      },
    );
  }
}

/** How thin a line of a glyph comes out, the size of the type says: its colour alone counts. */
const asArea = (thing: Painted): Painted => {
  if (thing.kind !== 'stroke') return thing;
  const { widthPt: _, ...area } = thing;
  return { ...area, kind: 'fill' };
};

const EVERYWHERE: Rect = { x: -1e6, y: -1e6, width: 2e6, height: 2e6 };

/** Glyphs of a Type 3 font that bring colours of their own (ISO 32000-1, 9.6.5: those that begin with d0). */
function drawnGlyphs(file: Opened, font: PDFDict): readonly PDFStream[] {
  if (nameText(entry(file, font, 'Subtype')) !== 'Type3') return [];
  const drawn = dictOf(file, font.get(name('CharProcs')));
  return (drawn?.values() ?? []).flatMap((object) => {
    const stream = resolved(file, object);
    return stream instanceof PDFStream && bringsColours(stream) ? [stream] : [];
  });
}

function bringsColours(stream: PDFStream): boolean {
  try {
    return /\bd0\b/.test(Buffer.from(unpacked(stream).subarray(0, 200)).toString('latin1'));
  } catch {
    return false;
  }
}

/** What a picture says of itself. */
interface PictureSaid {
  readonly width: number;
  readonly height: number;
  readonly isMask: boolean;
  readonly hasMask: boolean;
  readonly space: Space;
}

/** Paths of more parts are taken as a whole [own]. */
const MOST_PARTS = 200;

/** The boxes of the parts of a path. */
function boxesOf(parts: readonly (readonly Point[])[]): readonly Rect[] {
  const boxes = parts.flatMap((points) => (points.length > 0 ? [around(points)] : []));
  return boxes.length > MOST_PARTS ? [union(boxes)] : boxes;
}

/** A glyph is about so wide, in ems; enough to know whether words stand near an edge [own]. */
const ADVANCE = 0.5;

const UNIT: readonly Point[] = [
  { x: 0, y: 0 },
  { x: 1, y: 0 },
  { x: 1, y: 1 },
  { x: 0, y: 1 },
];

const isSeen = ({ width, height }: Rect): boolean => width >= 0 && height >= 0 && (width > 0 || height > 0);

const numbers = (operands: readonly Token[]): readonly number[] =>
  operands.flatMap((token) => (token.kind === 'number' ? [token.value] : []));

/** Bytes of a stream; undefined where they are damaged, which is noted. */
export function bytesOf({ unreadable }: Gathering, stream: PDFStream, page: number): Uint8Array | undefined {
  try {
    return unpacked(stream);
  } catch {
    unreadable.push({ page, why: 'Some of its content is damaged and cannot be unpacked.' });
    return undefined;
  }
}

/** The state after a dictionary of it (ISO 32000-1, 8.4.5). */
function withState(file: Opened, state: State, dict: PDFDict): State {
  const value = (key: string) => entry(file, dict, key);
  const flag = (key: string): boolean | undefined => {
    const said = value(key);
    return said === undefined ? undefined : String(said) === 'true';
  };
  const opacity = (key: string, was: boolean): boolean => {
    const said = value(key);
    return said === undefined ? was : Number(String(said)) < 1;
  };
  const stroke = flag('OP') ?? state.overprintsStroke;
  const blend = value('BM');
  const modes = blend instanceof PDFName ? [blend] : listOf(file, blend);
  const [mode] = modes.map(nameText);
  const mask = value('SMask');
  const mixes = mode === undefined ? undefined : mode !== 'Normal' && mode !== 'Compatible';
  const masks = mask === undefined ? undefined : mask instanceof PDFDict;
  const size = value('LW');
  return {
    ...state,
    width: size === undefined ? state.width : Number(String(size)),
    overprintsStroke: stroke,
    overprintsFill: flag('op') ?? flag('OP') ?? state.overprintsFill,
    transparent: {
      fill: opacity('ca', state.transparent.fill),
      stroke: opacity('CA', state.transparent.stroke),
      all: mixes === undefined && masks === undefined ? state.transparent.all : Boolean(mixes) || Boolean(masks),
    },
  };
}
