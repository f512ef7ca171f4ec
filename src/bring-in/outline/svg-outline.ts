import { pathText } from '../../core/layout';
import { readSvg } from '../svg';
import type { OutlineReading } from './reading';

/** Every shape of an SVG file as one outline in millimetres; colours, scripts, text and pictures are not looked at. */
export function readSvgOutline(text: string): OutlineReading {
  const read = readSvg(text);
  if (!read.ok) return read;
  return { ok: true, outline: read.art.shapes.map((shape) => pathText(shape.path)).join(' ') };
}
