import { DOMParser, onErrorStopParsing, type Document, type Element } from '@xmldom/xmldom';
import type { SolidPaint } from '../../core/element';
import { around, flatten, mapPath, multiply, translation, type Matrix } from '../../core/layout';
import type { ArtShape, VectorArt } from '../../core/shape';
import { dataOf, numberOf, pageOf, readPath, type SvgPage } from './shape-data';
import { paintOf, readStyleSheet, stylesOf, type StyleSheet, type Styles } from './style';

export type SvgReading =
  | {
      readonly ok: true;
      readonly art: VectorArt;
      /** What was in the file and is not in the drawing, in words. */
      readonly left: readonly string[];
    }
  | { readonly ok: false; readonly problem: string };

/** Largest drawing that is read, characters, and the most shapes and steps it may have. */
export const MAX_SVG_BYTES = 20_000_000;
const [MOST_SHAPES, MOST_STEPS, DEEPEST] = [20_000, 400_000, 60];
/** Elements that are looked at, those that are used several times once for each: uses within uses multiply. */
const MOST_LOOKS = 200_000;

const TOO_MUCH = `There are more than ${MOST_SHAPES} shapes or ${MOST_STEPS} points in this SVG. Save it simpler.`;

/** Never drawn by themselves. */
const SKIPPED = new Set([
  'defs',
  'symbol',
  'clipPath',
  'mask',
  'pattern',
  'marker',
  'metadata',
  'title',
  'desc',
  'style',
  'script',
  'filter',
  'linearGradient',
  'radialGradient',
  'foreignObject',
  'animate',
  'animateTransform',
  'set',
  'view',
]);

const LEFT_WORDS: Readonly<Record<string, string>> = {
  text: 'text (turn it into outlines before saving)',
  image: 'pictures (bring them in by themselves)',
  foreignObject: 'web content',
  script: 'scripts',
};

/**
 * Reads an SVG as paths with their colours. Nothing in it runs or is loaded: only shapes, groups, uses, transforms and
 * the colours and strokes of the few properties named in `style.ts` are looked at.
 */
export function readSvg(text: string): SvgReading {
  if (text.length > MAX_SVG_BYTES)
    return bad(`This drawing is larger than ${MAX_SVG_BYTES / 1e6} MB. Save it simpler.`);
  let document: Document;
  try {
    document = new DOMParser({ onError: onErrorStopParsing }).parseFromString(text, 'image/svg+xml');
  } catch {
    return bad(
      'This SVG is broken: it is not well-formed XML. Open it in the program it comes from and save it again.',
    );
  }
  const root = document.documentElement;
  if (root?.localName !== 'svg') return bad('This file has no drawing in it.');
  const walker = new Walker(root, sheetOf(root));
  walker.walk(root, [], {}, 1, 0);
  const { shapes, problem } = walker;
  if (problem) return bad(problem);
  if (shapes.length === 0) return bad('There is no path or shape in this SVG.');
  const page = pageOf(root);
  return { ok: true, ...laidOn(page, shapes), left: [...walker.left] };
}

const bad = (problem: string): SvgReading => ({ ok: false, problem });

const sheetOf = (root: Element): StyleSheet =>
  readStyleSheet(
    Array.from(root.getElementsByTagName('style'))
      .map((style) => style.textContent ?? '')
      .join('\n'),
  );

/** The elements directly within another. */
function* elementsIn(parent: Element): Generator<Element> {
  for (let node = parent.firstChild; node; node = node.nextSibling) if (node.nodeType === 1) yield node as Element;
}

/** Gathers shapes through groups and uses, within the bounds of size and depth. */
class Walker {
  readonly shapes: ArtShape[] = [];
  readonly left = new Set<string>();
  problem = '';
  private steps = 0;
  private looks = 0;
  private readonly byId = new Map<string, Element>();

  constructor(
    root: Element,
    private readonly sheet: StyleSheet,
  ) {
    // Not by recursion: how deep a file from outside goes is its own choice.
    const open: Element[] = [root];
    for (let element = open.pop(); element; element = open.pop()) {
      const id = element.getAttribute('id');
      if (id && !this.byId.has(id)) this.byId.set(id, element);
      for (const child of elementsIn(element)) open.push(child);
    }
  }

  walk(element: Element, transforms: readonly string[], inherited: Styles, opacity: number, depth: number): void {
    this.looks += 1;
    if (this.looks > MOST_LOOKS)
      this.problem ||= 'Parts of this SVG are used within each other too often. Save it without repeated parts.';
    const name = element.localName ?? '';
    const words = LEFT_WORDS[name];
    if (words) this.left.add(words);
    if (this.problem || words || depth > DEEPEST || (SKIPPED.has(name) && depth > 0)) return;
    const styles = stylesOf(element, inherited, this.sheet);
    if (styles['display'] === 'none') return;
    const own = element.getAttribute('transform');
    const all = own ? [own, ...transforms] : transforms;
    const here = opacity * shareOf(styles['opacity']);
    if (name === 'use') return this.use(element, all, styles, here, depth);
    const data = dataOf(element);
    if (data !== undefined) this.shape(data, all, styles, here);
    for (const child of elementsIn(element)) {
      if (this.problem) return;
      this.walk(child, all, styles, here, depth + 1);
    }
  }

  /** Only what is in the same file; a use of itself ends at the greatest depth. */
  private use(element: Element, transforms: readonly string[], styles: Styles, opacity: number, depth: number): void {
    const href = element.getAttribute('href') ?? element.getAttribute('xlink:href') ?? '';
    const target = href.startsWith('#') ? this.byId.get(href.slice(1)) : undefined;
    if (!target) return void this.left.add('references to other files');
    const [x, y] = [numberOf(element.getAttribute('x')), numberOf(element.getAttribute('y'))];
    const moved = x === 0 && y === 0 ? transforms : [`translate(${x} ${y})`, ...transforms];
    if (target.localName === 'symbol' || target.localName === 'svg') {
      for (const child of elementsIn(target)) this.walk(child, moved, styles, opacity, depth + 1);
    } else this.walk(target, moved, styles, opacity, depth + 1);
  }

  private shape(data: string, transforms: readonly string[], styles: Styles, opacity: number): void {
    if (styles['visibility'] === 'hidden' || styles['visibility'] === 'collapse') return;
    const { path, problem } = readPath(data, transforms);
    if (problem) return void (this.problem ||= `A path in this SVG cannot be read: ${problem}.`);
    if (!path.every((s) => s.slice(1).every(Number.isFinite)))
      return void (this.problem ||= 'A number in this SVG is too large.');
    this.steps += path.length;
    if (this.shapes.length >= MOST_SHAPES || this.steps > MOST_STEPS) return void (this.problem ||= TOO_MUCH);
    if (path.length < 2) return;
    const scale = scaleOf(transforms);
    const fill = this.paint(styles['fill'] ?? 'black', styles);
    const stroke = this.paint(styles['stroke'], styles);
    const width = numberOf(styles['stroke-width'] ?? null, 1) * scale;
    const common = { path, rule: styles['fill-rule'] === 'evenodd' ? ('evenodd' as const) : ('nonzero' as const) };
    const fillOpacity = opacity * shareOf(styles['fill-opacity']);
    const strokeOpacity = opacity * shareOf(styles['stroke-opacity']);
    const line =
      stroke && width > 0
        ? { paint: stroke, width, cap: capOf(styles), join: joinOf(styles), dash: dashOf(styles, scale) }
        : null;
    if (!fill && !line) return;
    // Fill and stroke of different opacity are two shapes.
    if (fill && line && fillOpacity !== strokeOpacity) {
      this.shapes.push(
        { ...common, fill, stroke: null, opacity: fillOpacity },
        { ...common, fill: null, stroke: line, opacity: strokeOpacity },
      );
    } else this.shapes.push({ ...common, fill, stroke: line, opacity: fill ? fillOpacity : strokeOpacity });
  }

  private paint(text: string | undefined, styles: Styles): SolidPaint | null {
    const paint = paintOf(text, styles);
    if (paint !== undefined) return paint;
    const gradient = /^url\(\s*["']?#([^"')]+)/i.exec(text ?? '')?.[1];
    this.left.add('gradients and patterns (one colour stands in for each)');
    return this.firstStop(gradient ? this.byId.get(gradient) : undefined, 0);
  }

  /** The colour in the middle of a gradient; grey where it has none. */
  private firstStop(gradient: Element | undefined, depth: number): SolidPaint {
    const grey: SolidPaint = { kind: 'rgb', r: 128, g: 128, b: 128 };
    if (!gradient || depth > 5) return grey;
    const stops = Array.from(gradient.getElementsByTagName('stop'));
    const stop = stops[Math.floor(stops.length / 2)];
    if (!stop) {
      const href = gradient.getAttribute('href') ?? gradient.getAttribute('xlink:href') ?? '';
      return this.firstStop(this.byId.get(href.replace(/^#/, '')), depth + 1);
    }
    const own = /stop-color\s*:\s*([^;]+)/i.exec(stop.getAttribute('style') ?? '')?.[1];
    return paintOf(own ?? stop.getAttribute('stop-color') ?? 'black', {}) ?? grey;
  }
}

/** Shapes set on their page, in mm; without a page, on the box around them. */
function laidOn(page: SvgPage | undefined, shapes: readonly ArtShape[]): { readonly art: VectorArt } {
  const per = 25.4 / 96;
  const scale = page?.scale ?? [per, per];
  const origin = page?.origin ?? [0, 0];
  const matrix: Matrix = multiply([scale[0], 0, 0, scale[1], 0, 0], translation(-origin[0], -origin[1]));
  const even = Math.sqrt(scale[0] * scale[1]);
  const set = shapes.map((shape) => ({
    ...shape,
    path: mapPath(shape.path, matrix),
    stroke: shape.stroke && {
      ...shape.stroke,
      width: shape.stroke.width * even,
      dash: shape.stroke.dash.map((d) => d * even),
    },
  }));
  const size = page ?? reachOf(set);
  return { art: { width: size.width, height: size.height, shapes: set } };
}

const shareOf = (text: string | undefined): number => {
  const value =
    text === undefined || text === '' ? 1 : text.endsWith('%') ? Number.parseFloat(text) / 100 : Number(text);
  return Number.isFinite(value) ? Math.min(Math.max(value, 0), 1) : 1;
};

const capOf = (styles: Styles): 'butt' | 'round' | 'square' => {
  const cap = styles['stroke-linecap'];
  return cap === 'round' || cap === 'square' ? cap : 'butt';
};
const joinOf = (styles: Styles): 'miter' | 'round' | 'bevel' => {
  const join = styles['stroke-linejoin'];
  return join === 'round' || join === 'bevel' ? join : 'miter';
};
const dashOf = (styles: Styles, scale: number): readonly number[] => {
  const dash = (styles['stroke-dasharray'] ?? '')
    .split(/[\s,]+/)
    .filter((t) => t !== '' && t !== 'none')
    .map((t) => numberOf(t) * scale);
  return dash.length % 2 === 1 ? [...dash, ...dash] : dash;
};

/** How far shapes reach from the origin, where a file names no page. */
function reachOf(shapes: readonly ArtShape[]): { readonly width: number; readonly height: number } {
  const box = around([{ x: 0.1, y: 0.1 }, ...shapes.flatMap(({ path }) => flatten(path).flat())]);
  return { width: box.x + box.width, height: box.y + box.height };
}

/** How much transforms enlarge: the side of the square that a unit square becomes. */
function scaleOf(transforms: readonly string[]): number {
  if (transforms.length === 0) return 1;
  const { path } = readPath('M0 0L1 0L0 1', transforms);
  const [o, a, b] = path.map((s) => (s[0] === 'Z' ? [0, 0] : [Number(s.at(-2)), Number(s.at(-1))]));
  const at = (p: readonly number[] | undefined, i: number) => (p?.[i] ?? 0) - (o?.[i] ?? 0);
  return Math.sqrt(Math.abs(at(a, 0) * at(b, 1) - at(a, 1) * at(b, 0)));
}
