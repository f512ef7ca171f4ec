import type { Element } from '@xmldom/xmldom';
import svgpath from 'svgpath';
import { cubicOf, pathFault } from '../../core/geometry';
import type { Path, Segment } from '../../core/layout';

/** CSS pixels to the inch: what a length without a unit means in SVG (CSS Values and Units 4). */
const CSS_PPI = 96;
const MM: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
  px: 25.4 / CSS_PPI,
  '': 25.4 / CSS_PPI,
};

/** Longest path data of one shape, characters. */
const MOST_LENGTH = 1_000_000;

/** A number of an attribute in the drawing’s own units; physical units are turned into them. */
export function numberOf(text: string | null, otherwise = 0): number {
  const found = /^([+-]?(?:\d+(?:\.\d+)?|\.\d+)(?:e[+-]?\d+)?)\s*([a-z]*)$/i.exec(text?.trim() ?? '');
  if (!found) return otherwise;
  const value = Number(found[1]);
  const per = MM[(found[2] ?? '').toLowerCase()];
  return Number.isFinite(value) && per !== undefined ? (value * per) / (MM[''] ?? 1) : otherwise;
}

/** A page of a drawing: its size in mm, and where its units lie on it. */
export interface SvgPage {
  readonly width: number;
  readonly height: number;
  readonly scale: readonly [number, number];
  readonly origin: readonly [number, number];
}

/** The size of the page and its view box; undefined where neither says anything. */
export function pageOf(root: Element): SvgPage | undefined {
  const view = (root.getAttribute('viewBox') ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const per = MM[''] ?? 1;
  const side = (name: 'width' | 'height'): number | undefined => {
    const text = root.getAttribute(name);
    return text === null || /%\s*$/.test(text) ? undefined : numberOf(text) * per || undefined;
  };
  const [, , across = 0, down = 0] = view;
  const hasView = view.length === 4 && view.every(Number.isFinite) && across > 0 && down > 0;
  const [width, height] = [side('width'), side('height')];
  if (!hasView) return width && height ? { width, height, scale: [per, per], origin: [0, 0] } : undefined;
  const [x, y] = [
    width ?? (height ? (height * across) / down : across * per),
    height ?? (width ? (width * down) / across : down * per),
  ];
  return { width: x, height: y, scale: [x / across, y / down], origin: [view[0] ?? 0, view[1] ?? 0] };
}

/** A shape as path data; undefined for what is none. */
export function dataOf(element: Element): string | undefined {
  const n = (name: string) => numberOf(element.getAttribute(name));
  switch (element.localName) {
    case 'path': {
      const data = element.getAttribute('d') ?? '';
      return data.length < MOST_LENGTH ? data : undefined;
    }
    case 'line':
      return `M${n('x1')} ${n('y1')}L${n('x2')} ${n('y2')}`;
    case 'rect': {
      const [x, y, w, h] = [n('x'), n('y'), n('width'), n('height')];
      if (w <= 0 || h <= 0) return undefined;
      const rx = Math.min(n('rx') || n('ry'), w / 2);
      const ry = Math.min(n('ry') || n('rx'), h / 2);
      return rx > 0 && ry > 0
        ? `M${x + rx} ${y}H${x + w - rx}A${rx} ${ry} 0 0 1 ${x + w} ${y + ry}V${y + h - ry}A${rx} ${ry} 0 0 1 ` +
            `${x + w - rx} ${y + h}H${x + rx}A${rx} ${ry} 0 0 1 ${x} ${y + h - ry}V${y + ry}A${rx} ${ry} 0 0 1 ` +
            `${x + rx} ${y}Z`
        : `M${x} ${y}h${w}v${h}h${-w}Z`;
    }
    case 'circle':
    case 'ellipse': {
      const [cx, cy] = [n('cx'), n('cy')];
      const [rx, ry] = element.localName === 'circle' ? [n('r'), n('r')] : [n('rx'), n('ry')];
      return rx > 0 && ry > 0
        ? `M${cx - rx} ${cy}A${rx} ${ry} 0 0 1 ${cx + rx} ${cy}A${rx} ${ry} 0 0 1 ${cx - rx} ${cy}Z`
        : undefined;
    }
    case 'polygon':
    case 'polyline': {
      const points = (element.getAttribute('points') ?? '').trim();
      return points === '' ? undefined : `M${points}${element.localName === 'polygon' ? 'Z' : ''}`;
    }
    default:
      return undefined;
  }
}

/** What one shape is within the drawing’s transforms: its path, or what is wrong with it. */
export function readPath(
  data: string,
  transforms: readonly string[],
): { readonly path: Path; readonly problem: string } {
  let path = svgpath(data);
  for (const transform of transforms) path = path.transform(transform);
  const problem = pathFault(path);
  const found: Segment[] = [];
  let [x, y] = [0, 0];
  path
    .abs()
    .unshort()
    .unarc()
    .iterate((segment) => {
      const [letter, ...n] = segment as [string, ...number[]];
      switch (letter) {
        case 'M':
        case 'L':
          found.push([letter, n[0] ?? 0, n[1] ?? 0]);
          break;
        case 'H':
          found.push(['L', n[0] ?? 0, y]);
          break;
        case 'V':
          found.push(['L', x, n[0] ?? 0]);
          break;
        case 'C':
          found.push(['C', n[0] ?? 0, n[1] ?? 0, n[2] ?? 0, n[3] ?? 0, n[4] ?? 0, n[5] ?? 0]);
          break;
        case 'Q': {
          const [qx = 0, qy = 0, ex = 0, ey = 0] = n;
          found.push(cubicOf({ x, y }, { x: qx, y: qy }, { x: ex, y: ey }));
          break;
        }
        case 'Z':
          found.push(['Z']);
          break;
      }
      const last = found.at(-1);
      if (last && last[0] !== 'Z') [x, y] = [Number(last.at(-2)), Number(last.at(-1))];
      if (last?.[0] === 'Z') {
        const start = found.findLast((s) => s[0] === 'M');
        if (start?.[0] === 'M') [x, y] = [start[1], start[2]];
      }
    });
  return { path: found, problem };
}
