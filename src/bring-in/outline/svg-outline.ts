import { DOMParser, onErrorStopParsing, type Element } from '@xmldom/xmldom';
import svgpath from 'svgpath';
import type { OutlineReading } from './read-outline';

/** CSS pixels to the inch: what a length without a unit means in SVG. */
const CSS_PPI = 96;
const MM: Readonly<Record<string, number>> = {
  mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72, pc: 25.4 / 6, px: 25.4 / CSS_PPI, '': 25.4 / CSS_PPI,
}; // prettier-ignore

/** Most shapes and most steps a file may have. */
const [MOST_SHAPES, MOST_LENGTH] = [2000, 1_000_000];

const SKIPPED = new Set(['defs', 'symbol', 'clipPath', 'mask', 'pattern', 'marker', 'metadata', 'title', 'desc']);

/** Every shape of an SVG file as one outline in millimetres; styles, scripts, text and pictures are not looked at. */
export function readSvgOutline(text: string): OutlineReading {
  let root: Element | null;
  try {
    root = new DOMParser({ onError: onErrorStopParsing }).parseFromString(text, 'image/svg+xml').documentElement;
  } catch (error) {
    return { ok: false, problem: `This SVG cannot be read: ${error instanceof Error ? error.message.slice(0, 120) : 'it is broken'}.` };
  }
  if (root?.localName !== 'svg') return { ok: false, problem: 'This file has no drawing in it.' };
  const shapes: string[] = [];
  let broken = '';
  const walk = (element: Element, transforms: readonly string[], depth: number): void => {
    if (depth > 50 || shapes.length > MOST_SHAPES || SKIPPED.has(element.localName ?? '')) return;
    const own = element.getAttribute('transform');
    const all = own ? [own, ...transforms] : transforms;
    const data = dataOf(element);
    if (data && data.length < MOST_LENGTH) {
      let path = svgpath(data).abs();
      broken ||= errorOf(path);
      for (const transform of all) path = path.transform(transform);
      shapes.push(path.toString());
    }
    for (const child of Array.from(element.childNodes)) if (child.nodeType === 1) walk(child as Element, all, depth + 1);
  };
  walk(root, [], 0);
  if (broken) return { ok: false, problem: `A path in this SVG cannot be read: ${broken}.` };
  if (shapes.length === 0) return { ok: false, problem: 'There is no path or shape in this SVG.' };
  if (shapes.length > MOST_SHAPES) return { ok: false, problem: `There are more than ${MOST_SHAPES} shapes in it. Save the outline alone.` };
  const outline = svgpath(shapes.join(' ')).scale(...scaleOf(root)).unarc().abs().round(4);
  return { ok: true, outline: outline.toString() };
} // prettier-ignore

/** Millimetres for one unit of the drawing: from the page’s size and its view box. */
function scaleOf(root: Element): readonly [number, number] {
  const view = (root.getAttribute('viewBox') ?? '').trim().split(/[\s,]+/).map(Number);
  const side = (name: 'width' | 'height', along: number | undefined): number => {
    const found = /^\s*([\d.]+)\s*(mm|cm|in|pt|pc|px)?\s*$/.exec(root.getAttribute(name) ?? '');
    const per = MM[''] ?? 1;
    if (!found) return per;
    const mm = Number(found[1]) * (MM[found[2] ?? ''] ?? per);
    // Without a view box the drawing’s units are CSS pixels, whatever the page measures.
    return along && along > 0 ? mm / along : per;
  };
  return [side('width', view[2]), side('height', view[3])];
} // prettier-ignore

/** A shape as path data. */
function dataOf(element: Element): string | undefined {
  const n = (name: string) => Number.parseFloat(element.getAttribute(name) ?? '0') || 0;
  switch (element.localName) {
    case 'path':
      return element.getAttribute('d') ?? undefined;
    case 'rect': {
      const [x, y, w, h] = [n('x'), n('y'), n('width'), n('height')];
      const r = Math.min(n('rx') || n('ry'), w / 2, h / 2);
      return r > 0
        ? `M${x + r} ${y}H${x + w - r}A${r} ${r} 0 0 1 ${x + w} ${y + r}V${y + h - r}A${r} ${r} 0 0 1 ${x + w - r} ${y + h}H${x + r}A${r} ${r} 0 0 1 ${x} ${y + h - r}V${y + r}A${r} ${r} 0 0 1 ${x + r} ${y}Z`
        : `M${x} ${y}h${w}v${h}h${-w}Z`;
    }
    case 'circle':
    case 'ellipse': {
      const [cx, cy] = [n('cx'), n('cy')];
      const [rx, ry] = element.localName === 'circle' ? [n('r'), n('r')] : [n('rx'), n('ry')];
      return `M${cx - rx} ${cy}A${rx} ${ry} 0 0 1 ${cx + rx} ${cy}A${rx} ${ry} 0 0 1 ${cx - rx} ${cy}Z`;
    }
    case 'polygon':
    case 'polyline':
      return `M${element.getAttribute('points') ?? ''}${element.localName === 'polygon' ? 'Z' : ''}`;
    default:
      return undefined;
  }
}

/** What the path reader found wrong; the package’s types do not show it. */
const errorOf = (path: ReturnType<typeof svgpath>): string =>
  (path as unknown as { err: string }).err.replace(/^SvgPath: /, '');
