import { readDxfOutline } from './dxf-outline';
import type { OutlineReading } from './reading';
import { readSvgOutline } from './svg-outline';

/** Largest outline file that is read, bytes. */
export const MAX_OUTLINE_BYTES = 5_000_000;

/** Reads the outline of a piece from an SVG or a DXF file, told apart by what is in it. */
export function readOutlineFile(text: string): OutlineReading {
  if (text.length > MAX_OUTLINE_BYTES)
    return { ok: false, problem: 'This file is larger than 5 MB. Save the outline alone.' };
  if (/<svg[\s>]/i.test(text.slice(0, 5000))) return closedOnly(readSvgOutline(text));
  if (isDxf(text)) return closedOnly(readDxfOutline(text));
  return { ok: false, problem: 'This is neither SVG nor DXF. Save the outline as one of them.' };
}

/** A DXF begins its first section with group 0; comments may stand before it. */
function isDxf(text: string): boolean {
  const lines = text
    .slice(0, 2000)
    .split('\n')
    .map((line) => line.trim());
  return lines.some((line, i) => line === '0' && lines[i + 1] === 'SECTION');
}

/**
 * Closed shapes make the outline; open lines beside them are cuts within it. Where nothing is closed all of it stays,
 * to be refused with its gap.
 */
function closedOnly(read: OutlineReading): OutlineReading {
  if (!read.ok) return read;
  const shapes = read.outline.split(/(?=M)/).map((s) => s.trim());
  const closed = shapes.filter((s) => /z$/i.test(s));
  return { ok: true, outline: (closed.length > 0 ? closed : shapes).join(' ') };
}
