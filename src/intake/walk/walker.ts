import { PDFDict, PDFName, PDFStream, type PDFObject } from '@cantoo/pdf-lib';
import { IDENTITY, apply, around, intersection, multiply, union } from '../../core/geometry';
import type { Matrix, Point, Rect } from '../../core/geometry';
import { colourIn, spaceOf, type Space } from '../colour-of';
import { missingIn } from '../glyphs-of';
import type { Colour, Painted } from '../painted';
import { dictOf, entry, name, nameText, numbersOf, operationsOf, resolved, unpacked } from '../pdf';
import type { Opened, Operation, Token } from '../pdf';
import { bytesOf, type Gathering } from './gathering';
import { BLACK, type State, type Using } from './state';

/** Forms within forms are followed so deep, and so many things of a page are kept [own]. */
const [DEEP, MOST] = [24, 200_000];

/** Where content is found. */
interface Place {
  readonly page: number;
  readonly resources: PDFDict;
  readonly deep: number;
}

/** What each operator does; in a file of its own, and given so that the two stand in no circle. */
export type Operators = Readonly<
  Record<string, (walker: Walker, operands: readonly Token[], numbers: readonly number[]) => void>
>;

/** How large lengths of a matrix come out: the square root of its area. */
const scaleOf = ([a, b, c, d]: Matrix): number => Math.sqrt(Math.abs(a * d - b * c));

/** Goes through content of a page and keeps what it lays on paper. */
export class Walker {
  private readonly stack: State[] = [];
  /** Points of each part of the path that is begun. */
  private parts: Point[][] = [];
  private clips = false;
  private text: Matrix = IDENTITY;
  private line: Matrix = IDENTITY;

  constructor(
    private readonly gathering: Gathering,
    private readonly operators: Operators,
    private readonly place: Place,
    public state: State,
  ) {}

  get file(): Opened {
    return this.gathering.file;
  }

  get resources(): PDFDict {
    return this.place.resources;
  }

  run(bytes: Uint8Array): void {
    let operations: readonly Operation[];
    try {
      operations = operationsOf(bytes);
    } catch (error) {
      const why = error instanceof Error ? error.message : String(error);
      this.gathering.unreadable.push({ page: this.place.page, why });
      return;
    }
    for (const { operator, operands } of operations)
      if (Object.hasOwn(this.operators, operator))
        this.operators[operator]?.(
          this,
          operands,
          operands.flatMap((token) => (token.kind === 'number' ? [token.value] : [])),
        );
  }

  /** What a name of the content stands for. @param kind of resource */
  named(kind: string, token: Token | undefined): PDFObject | undefined {
    return token?.kind === 'name'
      ? resolved(this.file, dictOf(this.file, this.resources.get(name(kind)))?.get(PDFName.of(token.text)))
      : undefined;
  }

  push(): void {
    this.stack.push(this.state);
  }

  pop(): void {
    this.state = this.stack.pop() ?? this.state;
  }

  set(change: Partial<State>): void {
    this.state = { ...this.state, ...change };
  }

  beginPart(): void {
    this.parts.push([]);
  }

  /** Puts a point to the part that is begun. */
  put(x: number, y: number): void {
    if (this.parts.length === 0) this.beginPart();
    this.parts.at(-1)?.push(apply(this.state.ctm, { x, y }));
  }

  /** The path that is ended next clips what follows. */
  clipNext(): void {
    this.clips = true;
  }

  /** Ends a path: what it lays down, and what it clips. */
  paint({ fills = false, strokes = false }: { readonly fills?: boolean; readonly strokes?: boolean }): void {
    const boxes = boxesOf(this.parts);
    for (const box of boxes) {
      if (fills) this.fill(box);
      if (strokes) this.stroke(box);
    }
    if (this.clips && boxes.length > 0) this.set({ clip: intersection(this.state.clip, union(boxes)) });
    this.parts = [];
    this.clips = false;
  }

  private fill(box: Rect): void {
    const { fill } = this.state;
    this.keep({ kind: 'fill', ...this.common(box, false), colour: colour(fill) });
    this.lay(fill.tile, box);
  }

  private stroke({ x, y, width, height }: Rect): void {
    const { stroke, ctm } = this.state;
    const widthPt = this.state.width * scaleOf(ctm);
    const half = widthPt / 2;
    const wide = { x: x - half, y: y - half, width: width + widthPt, height: height + widthPt };
    this.keep({ kind: 'stroke', ...this.common(wide, true), colour: colour(stroke), widthPt });
  }

  shade(shading: PDFDict | undefined): void {
    const space = spaceOf(this.file, shading?.get(name('ColorSpace')), this.resources);
    this.keep({ kind: 'shading', ...this.common(this.state.clip, false), colour: colourIn(space, []) });
  }

  setTextMatrix(matrix: Matrix): void {
    this.text = this.line = matrix;
  }

  nextLine(x: number, y: number): void {
    this.setTextMatrix(multiply(this.line, [1, 0, 0, 1, x, y]));
  }

  /** Words: about where they stand; how far they go on, the font’s own widths would say. */
  show(token: Token | undefined): void {
    const { state, file, gathering } = this;
    const strings = token?.kind === 'list' ? token.items : token ? [token] : [];
    const bytes = strings.reduce((sum, s) => sum + (s.kind === 'string' ? s.bytes.length : 0), 0);
    if (bytes === 0 || !state.font) return;
    const glyphs = nameText(entry(file, state.font, 'Subtype')) === 'Type0' ? bytes / 2 : bytes;
    const pages = gathering.fonts.get(state.font) ?? new Set();
    gathering.fonts.set(state.font, pages.add(this.place.page));
    const map = multiply(state.ctm, this.text);
    const long = glyphs * state.size * ADVANCE * state.stretch;
    this.text = multiply(this.text, [1, 0, 0, 1, long, 0]);
    const box = cornersBox({ x: 0, y: -state.size * 0.2, width: long, height: state.size }, map);
    const set: Painted = {
      kind: 'text',
      ...this.common(box, false),
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
    this.keep(set);
    this.lay(state.fill.tile, set.box);
    for (const glyph of drawnGlyphs(file, state.font)) this.lay(glyph, set.box, state.font);
  }

  /** A colour; of a pattern, those of its own, or those that it is laid with (ISO 32000-1, 8.7). */
  usingOf(now: Space, operands: readonly Token[], values: readonly number[]): Using {
    const found = now.kind === 'pattern' ? this.named('Pattern', operands.at(-1)) : undefined;
    if (found instanceof PDFStream)
      return String(entry(this.file, found.dict, 'PaintType')) === '2' && now.under
        ? { space: now.under, values }
        : { space: now, values, tile: found };
    const shading = dictOf(this.file, found instanceof PDFDict ? found.get(name('Shading')) : undefined);
    return shading
      ? { space: spaceOf(this.file, shading.get(name('ColorSpace')), this.resources), values: [] }
      : { space: now, values };
  }

  draw(stream: PDFStream): void {
    if (nameText(entry(this.file, stream.dict, 'Subtype')) === 'Image') this.picture(stream);
    else this.form(stream);
  }

  private picture(image: PDFStream): void {
    const { file, state } = this;
    const number = (key: string) => Number(String(entry(file, image.dict, key)));
    const isMask = String(entry(file, image.dict, 'ImageMask')) === 'true';
    const space = isMask ? state.fill.space : spaceOf(file, image.dict.get(name('ColorSpace')), this.resources);
    const hasMask = entry(file, image.dict, 'SMask') instanceof PDFStream;
    this.placePicture({ width: number('Width'), height: number('Height'), isMask, hasMask, space });
  }

  /** The names of its dictionary may be cut short (ISO 32000-1, table 93). */
  inlinePicture(entries: ReadonlyMap<string, Token>): void {
    const value = (...keys: readonly string[]) => keys.map((key) => entries.get(key)).find((v) => v !== undefined);
    const number = (token: Token | undefined) => (token?.kind === 'number' ? token.value : 0);
    const mask = value('IM', 'ImageMask');
    const isMask = mask?.kind === 'word' && mask.text === 'true';
    const said = value('CS', 'ColorSpace');
    const named = said?.kind === 'name' ? PDFName.of(said.text) : undefined;
    const space = isMask ? this.state.fill.space : spaceOf(this.file, named, this.resources);
    const [width, height] = [number(value('W', 'Width')), number(value('H', 'Height'))];
    this.placePicture({ width, height, isMask, hasMask: false, space });
  }

  private placePicture({ width, height, isMask, hasMask, space }: PictureSaid): void {
    const { ctm, fill } = this.state;
    const [a, b, c, d] = ctm;
    const [across, down] = [Math.hypot(a, b), Math.hypot(c, d)];
    const shared = this.common(cornersBox({ x: 0, y: 0, width: 1, height: 1 }, ctm), false);
    this.keep({
      kind: 'picture',
      ...shared,
      isTransparent: shared.isTransparent || hasMask,
      colour: colourIn(space, isMask ? fill.values : []),
      width,
      height,
      ppi: 72 * Math.min(width / Math.max(across, 1e-6), height / Math.max(down, 1e-6)),
      isMask,
    });
  }

  private form(drawn: PDFStream): void {
    const { gathering, state, file } = this;
    const { page, deep } = this.place;
    if (deep >= DEEP) {
      gathering.unreadable.push({ page, why: 'Forms lie within forms too deep to be followed.' });
      return;
    }
    const ctm = this.within(numbersOf(file, drawn.dict.get(name('Matrix'))));
    const [x0 = 0, y0 = 0, x1 = 0, y1 = 0] = numbersOf(file, drawn.dict.get(name('BBox')));
    const box = cornersBox({ x: x0, y: y0, width: x1 - x0, height: y1 - y0 }, ctm);
    const content = bytesOf(gathering, drawn, page);
    if (!content) return;
    const resources = dictOf(file, drawn.dict.get(name('Resources'))) ?? this.resources;
    this.inner(gathering, resources, { ...state, ctm, clip: intersection(state.clip, box) }).run(content);
  }

  /** What a tile, or a glyph that draws itself, lays down: each kind of it once, where it is laid. */
  private lay(stream: PDFStream | undefined, box: Rect, font?: PDFDict): void {
    if (!stream) return;
    const { page } = this.place;
    for (const thing of this.gathering.laid.get(stream) ?? this.laidBy(stream, font))
      this.keep({ ...thing, page, box: intersection(box, this.state.clip) });
  }

  private laidBy(stream: PDFStream, font: PDFDict | undefined): readonly Painted[] {
    const { gathering, file, state } = this;
    // One that is laid within itself is gone through no second time.
    gathering.laid.set(stream, []);
    const content = this.place.deep < DEEP ? bytesOf(gathering, stream, this.place.page) : undefined;
    if (!content) return [];
    const said = font ?? stream.dict;
    const resources = dictOf(file, said.get(name('Resources'))) ?? this.resources;
    const ctm = this.within(numbersOf(file, said.get(name(font ? 'FontMatrix' : 'Matrix'))));
    const own: Gathering = { ...gathering, painted: [] };
    this.inner(own, resources, { ...state, fill: BLACK, stroke: BLACK, ctm, clip: EVERYWHERE }).run(content);
    const things = font ? own.painted.map(asArea) : own.painted;
    const alike = new Map(things.map((thing) => [JSON.stringify({ ...thing, box: 0 }), thing]));
    const painted = [...alike.values()];
    gathering.laid.set(stream, painted);
    return painted;
  }

  private inner(gathering: Gathering, resources: PDFDict, state: State): Walker {
    const { page, deep } = this.place;
    return new Walker(gathering, this.operators, { page, resources, deep: deep + 1 }, state);
  }

  /** @param matrix as the file says it; none where it has not six numbers */
  private within(matrix: readonly number[]): Matrix {
    return matrix.length === 6 ? multiply(this.state.ctm, matrix as unknown as Matrix) : this.state.ctm;
  }

  private keep(thing: Painted): void {
    if (this.gathering.painted.length < MOST && isSeen(thing.box)) this.gathering.painted.push(thing);
  }

  private common(box: Rect, isStroke: boolean) {
    const { clip, overprintsFill, overprintsStroke, transparent } = this.state;
    return {
      page: this.place.page,
      box: intersection(box, clip),
      overprint: isStroke ? overprintsStroke : overprintsFill,
      isTransparent: transparent.all || (isStroke ? transparent.stroke : transparent.fill),
    };
  }
}

const colour = ({ space, values }: Using): Colour => colourIn(space, values);

/** Where a box comes out by a matrix. */
const cornersBox = ({ x, y, width, height }: Rect, map: Matrix): Rect =>
  around(
    [
      { x, y },
      { x: x + width, y },
      { x: x + width, y: y + height },
      { x, y: y + height },
    ].map((p) => apply(map, p)),
  );

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

const isSeen = ({ width, height }: Rect): boolean => width >= 0 && height >= 0 && (width > 0 || height > 0);
