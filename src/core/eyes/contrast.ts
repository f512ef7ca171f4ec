import { shownBuild, type Build, type Rgb } from '../colour';
import type { Drawing, Frame, Ink, Item, Leaf, PathItem } from '../drawing';
import { centreOf, mappedBounds, pathBounds, rectPath, type Point, type Rect } from '../layout';
import { mmToPt } from '../measure';
import { linear, seenBy, type Vision } from './vision';

/** Relative luminance of a colour of the screen (WCAG 2.2, “relative luminance”). */
export const luminance = ({ r, g, b }: Rgb): number => 0.2126 * linear(r) + 0.7152 * linear(g) + 0.0722 * linear(b);

/** The contrast of two colours, 1 to 21 (WCAG 2.2, “contrast ratio”): a published stand-in for how words are read. */
export function contrast(a: Rgb, b: Rgb): number {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}

/** Type from this size on is large (WCAG 2.2, 1.4.3: 18 pt). */
const LARGE = 18;
/** Contrast that words want, and large words (WCAG 2.2, 1.4.3). */
export const [WANTED, WANTED_LARGE] = [4.5, 3];

/** How the words of an element stand against what lies under them. */
export interface WordsContrast {
  readonly element: string;
  /** In the order of the ratio: the worst first. */
  readonly ratio: number;
  readonly wanted: number;
  readonly words: Rgb;
  readonly ground: Rgb;
}

/** How inks and paper look. */
export interface Looks {
  readonly toRgb: (build: Build) => Rgb;
  readonly paper: Rgb;
  readonly vision: Vision;
}

/**
 * The contrast of every text with the flat colour that lies under it, as it prints; what stands on a picture or on a
 * gradient is left out, since no one colour is under it.
 */
export function contrastsOn(drawing: Drawing, looks: Looks): readonly WordsContrast[] {
  const found: WordsContrast[] = [];
  const below = laid(drawing.repeated);
  for (const frame of drawing.frames) {
    for (const one of laid(frame.items)) {
      const { item } = one;
      if (frame.kind === 'text' && item.kind === 'glyphs') {
        const words = contrastOf(frame, item.ink, mmToPt(item.size), below, looks);
        if (words) found.push(words);
      }
      below.push(one);
    }
  }
  return worstOfEach(found);
}

/** Something on paper, and whether it is laid on plainly, whatever it is gathered in. */
interface Laid {
  readonly item: Leaf;
  readonly isPlain: boolean;
}

const laid = (items: readonly Item[], isPlain = true): Laid[] =>
  items.flatMap((item): Laid[] => {
    const plain = isPlain && item.opacity === 1 && !item.blend;
    if (item.kind !== 'group') return [{ item, isPlain: plain }];
    return laid(item.items, plain && !item.mask);
  });

function contrastOf(
  { element, ink: box }: Frame,
  ink: Ink,
  sizePt: number,
  below: readonly Laid[],
  looks: Looks,
): WordsContrast | undefined {
  const ground = groundUnder(box, below);
  const words = flat(ink, looks);
  if (!words || ground === 'mixed') return undefined;
  const under = ground === 'paper' ? looks.paper : flat(ground, looks);
  if (!under) return undefined;
  const seen = (rgb: Rgb) => seenBy(looks.vision, rgb);
  const wanted = sizePt >= LARGE ? WANTED_LARGE : WANTED;
  return { element, ratio: contrast(seen(words), seen(under)), wanted, words, ground: under };
}

/** An ink as a screen shows it; undefined for one that is not flat. */
function flat(ink: Ink, { toRgb }: Looks): Rgb | undefined {
  return ink.kind === 'process' ? toRgb(shownBuild(ink)) : undefined;
}

/** What lies under the middle of a box: an ink, bare paper, or something that has no one colour. */
function groundUnder(box: Rect, below: readonly Laid[]): Ink | 'paper' | 'mixed' {
  const middle = centreOf(box);
  for (const { item, isPlain } of below.toReversed()) {
    const bounds = boundsOf(item);
    if (!bounds || !holds(bounds, middle)) continue;
    if (item.kind !== 'path') return 'mixed';
    if (item.fill) return isPlain && isFlat(item) ? item.fill : 'mixed';
  }
  return 'paper';
}

/** Upright box around what covers an area; undefined for what does not. */
function boundsOf(item: Leaf): Rect | undefined {
  switch (item.kind) {
    case 'path':
      return mappedBounds(pathBounds(item.path), item.matrix);
    case 'picture':
      return mappedBounds(item.frame, item.matrix);
    case 'page':
      return mappedBounds(item.image, item.matrix);
    case 'glyphs':
      return undefined;
  }
}

const holds = ({ x, y, width, height }: Rect, p: Point): boolean =>
  p.x >= x && p.x <= x + width && p.y >= y && p.y <= y + height;

/** One colour all over its box: a rectangle. */
const isFlat = ({ path, fill }: PathItem): boolean => fill?.kind === 'process' && path.length <= RECTANGLE;

/** Steps of the outline of a rectangle. */
const RECTANGLE = rectPath({ x: 0, y: 0, width: 1, height: 1 }).length;

/** Of each element the worst; the worst of all first. */
function worstOfEach(list: readonly WordsContrast[]): readonly WordsContrast[] {
  const worst = new Map<string, WordsContrast>();
  for (const one of list) {
    const before = worst.get(one.element);
    if (!before || one.ratio / one.wanted < before.ratio / before.wanted) worst.set(one.element, one);
  }
  return [...worst.values()].sort((a, b) => a.ratio / a.wanted - b.ratio / b.wanted);
}
