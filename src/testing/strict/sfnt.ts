/** What a font file says of its glyphs, by its tables alone (OpenType 1.9: head, hhea, hmtx, maxp, loca). */
export interface GlyphTables {
  readonly count: number;
  readonly unitsPerEm: number;
  readonly advance: (glyph: number) => number;
  /** Whether a glyph has no outline; undefined where outlines are PostScript. */
  readonly isEmpty: ((glyph: number) => boolean) | undefined;
}

/** @throws RangeError when a table is missing or cut short */
export function glyphTables(bytes: Uint8Array): GlyphTables {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const tables = new Map<string, number>();
  for (let i = 0; i < view.getUint16(4); i += 1) {
    const at = 12 + i * 16;
    const tag = Buffer.from(bytes.subarray(at, at + 4)).toString('latin1');
    if (view.getUint32(at + 8) + view.getUint32(at + 12) > bytes.length)
      throw new RangeError(`The table ${tag} is cut short.`);
    tables.set(tag, view.getUint32(at + 8));
  }
  const table = (tag: string): number => {
    const at = tables.get(tag);
    if (at === undefined) throw new RangeError(`There is no table ${tag}.`);
    return at;
  };
  const [head, hhea, hmtx, maxp] = [table('head'), table('hhea'), table('hmtx'), table('maxp')];
  const metrics = view.getUint16(hhea + 34);
  const loca = tables.get('loca');
  const isLong = view.getInt16(head + 50) === 1;
  const offset = (at: number, glyph: number) =>
    isLong ? view.getUint32(at + glyph * 4) : view.getUint16(at + glyph * 2) * 2;
  return {
    count: view.getUint16(maxp + 4),
    unitsPerEm: view.getUint16(head + 18),
    advance: (glyph) => view.getUint16(hmtx + Math.min(glyph, metrics - 1) * 4),
    isEmpty: loca === undefined ? undefined : (glyph) => offset(loca, glyph) === offset(loca, glyph + 1),
  };
}
