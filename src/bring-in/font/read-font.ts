import { z } from 'zod';
import { EMBEDDING, type FontAsset } from '../../core/job';

/** A font file that was read, or why it cannot be used. */
export type FontReading =
  | { readonly ok: true; readonly font: FontAsset; readonly sfnt: Uint8Array }
  | { readonly ok: false; readonly problem: string };

const SFNT = [0x00010000, 0x4f54544f, 0x74727565] as const; // TrueType, “OTTO”, “true”
const WOFF2 = 0x774f4632;
const WOFF = 0x774f4646;
const COLLECTION = 0x74746366;

/**
 * Reads a designer’s own font: TTF, OTF or WOFF2. Its embedding permission (OpenType OS/2 fsType) is respected.
 * @returns its facts and its sfnt bytes, or a sentence saying what is wrong and what to do
 */
export async function readFont(name: string, bytes: Uint8Array): Promise<FontReading> {
  if (bytes.length < 12) return bad(`“${name}” is too short to be a font.`);
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const signature = view.getUint32(0);
  if (signature === COLLECTION)
    return bad(`“${name}” is a collection of fonts. Bring its fonts in one by one, as TTF or OTF.`);
  if (signature === WOFF) return bad(`“${name}” is a WOFF font. Bring it in as TTF, OTF or WOFF2.`);
  let sfnt = bytes;
  if (signature === WOFF2) {
    const { default: decompress } = await import('woff2-encoder/decompress');
    try {
      sfnt = await decompress(bytes);
    } catch {
      return bad(`“${name}” is a damaged WOFF2 font. Ask for the file again.`);
    }
  } else if (!SFNT.includes(signature as (typeof SFNT)[number])) {
    return bad(`“${name}” is not a font. TTF, OTF and WOFF2 can be brought in.`);
  }
  const tables = tableDirectory(sfnt);
  if (!tables) return bad(`“${name}” is a damaged font: its table of contents points outside the file.`);
  for (const needed of ['cmap', 'head', 'hhea', 'hmtx', 'maxp', 'name', 'OS/2'] as const) {
    if (!tables.has(needed)) return bad(`“${name}” is not a complete font: it has no ${needed} table.`);
  }
  if (!tables.has('glyf') && !tables.has('CFF ')) return bad(`“${name}” has no outlines, so a press cannot print it.`);
  const os2 = tables.get('OS/2');
  const embedding = os2 && os2.byteLength >= 10 ? embeddingOf(os2.getUint16(8)) : 'refused';
  if (embedding === 'refused') {
    return bad(
      `“${name}” may not be embedded: its maker forbids it in the font. Choose another, or ask for a licence ` +
        'that permits print.',
    );
  }
  const names = tables.get('name');
  const text = names ? readNames(names) : new Map<number, string>();
  const family = text.get(16) ?? text.get(1);
  if (!family) return bad(`“${name}” does not say its family name.`);
  const font: FontAsset = {
    kind: 'font',
    name: name.slice(0, 255),
    family: family.slice(0, 100),
    weight: Math.min(1000, Math.max(1, os2?.getUint16(4) ?? 400)),
    italic: ((os2 && os2.byteLength >= 64 ? os2.getUint16(62) : 0) & 1) === 1,
    postscript: (text.get(6) ?? family).replace(/[^\x21-\x7e]|[[\](){}<>/%]/g, '').slice(0, 63) || 'Font',
    embedding: z.enum(EMBEDDING).parse(embedding),
  };
  const { openFont } = await import('./open-font');
  try {
    openFont('probe', sfnt);
  } catch {
    return bad(`“${name}” is a damaged font: no letters were found in it.`);
  }
  return { ok: true, font, sfnt };
}

const bad = (problem: string): FontReading => ({ ok: false, problem });

/** OpenType OS/2 fsType: bit 1 forbids embedding, bit 2 allows print and preview, bit 3 editing; bit 9 bitmaps only. */
function embeddingOf(fsType: number): (typeof EMBEDDING)[number] | 'refused' {
  if (fsType & 0x0200) return 'refused';
  const usage = fsType & 0x000f;
  if (usage === 0) return 'installable';
  if (usage & 0x0008) return 'editable';
  if (usage & 0x0004) return 'print';
  return 'refused';
}

/** Views of the tables, or undefined when one lies outside the file. */
function tableDirectory(sfnt: Uint8Array): ReadonlyMap<string, DataView> | undefined {
  const view = new DataView(sfnt.buffer, sfnt.byteOffset, sfnt.byteLength);
  const count = view.getUint16(4);
  if (12 + count * 16 > sfnt.byteLength) return undefined;
  const tables = new Map<string, DataView>();
  for (let i = 0; i < count; i += 1) {
    const at = 12 + i * 16;
    const tag = String.fromCharCode(...sfnt.subarray(at, at + 4));
    const [offset, length] = [view.getUint32(at + 8), view.getUint32(at + 12)];
    if (offset + length > sfnt.byteLength) return undefined;
    tables.set(tag, new DataView(sfnt.buffer, sfnt.byteOffset + offset, length));
  }
  return tables;
}

/** Windows Unicode names (platform 3), by name id. */
function readNames(view: DataView): ReadonlyMap<number, string> {
  const names = new Map<number, string>();
  if (view.byteLength < 6) return names;
  const [count, storage] = [view.getUint16(2), view.getUint16(4)];
  for (let i = 0; i < count && 6 + (i + 1) * 12 <= view.byteLength; i += 1) {
    const at = 6 + i * 12;
    if (view.getUint16(at) !== 3) continue;
    const id = view.getUint16(at + 6);
    const [length, offset] = [view.getUint16(at + 8), storage + view.getUint16(at + 10)];
    if (offset + length > view.byteLength) continue;
    let text = '';
    for (let j = 0; j + 1 < length; j += 2) text += String.fromCharCode(view.getUint16(offset + j));
    // English (US) wins; otherwise the first.
    if (!names.has(id) || view.getUint16(at + 4) === 0x0409) names.set(id, text);
  }
  return names;
}
