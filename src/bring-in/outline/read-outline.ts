import { readDxfOutline } from './dxf-outline';
import { readSvgOutline } from './svg-outline';

export type OutlineReading =
  /** Path data in millimetres, from the top-left corner, y down. */
  { readonly ok: true; readonly outline: string } | { readonly ok: false; readonly problem: string };

/** Largest outline file that is read, bytes. */
export const MAX_OUTLINE_BYTES = 5_000_000;

/** Reads the outline of a piece from an SVG or a DXF file, told apart by what is in it. */
export function readOutlineFile(text: string): OutlineReading {
  if (text.length > MAX_OUTLINE_BYTES)
    return { ok: false, problem: 'This file is larger than 5 MB. Save the outline alone.' };
  if (/<svg[\s>]/i.test(text.slice(0, 5000))) return closedOnly(readSvgOutline(text));
  if (/^\s*0\s*\r?\nSECTION/m.test(text.slice(0, 2000))) return closedOnly(readDxfOutline(text));
  return { ok: false, problem: 'This is neither SVG nor DXF. Save the outline as one of them.' };
}

/** Closed shapes make the outline; open lines beside them are cuts within it. Where nothing is closed all of it stays, to be refused with its gap. */
function closedOnly(read: OutlineReading): OutlineReading {
  if (!read.ok) return read;
  const shapes = read.outline.split(/(?=M)/).map((s) => s.trim());
  const closed = shapes.filter((s) => /z$/i.test(s));
  return { ok: true, outline: (closed.length > 0 ? closed : shapes).join(' ') };
}
