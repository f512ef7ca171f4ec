import { Blob, Buffer, Face, Feature, Font, shape } from 'harfbuzzjs';
import { cubicOf } from '../../core/geometry';
import type { Path, Segment } from '../../core/drawing';
import type { FontFacts, ShapingFont } from '../../core/type';

/**
 * Opens an sfnt font file (TTF or OTF bytes) for shaping.
 * @throws Error when HarfBuzz finds no glyphs in it
 */
export function openFont(key: string, bytes: Uint8Array): ShapingFont {
  const face = new Face(new Blob(bytes));
  const characters = new Set(face.collectUnicodes());
  if (characters.size === 0 || !(face.upem > 0)) throw new Error('This is not a font that can be set.');
  const font = new Font(face);
  const extents = font.hExtents();
  const outlines = new Map<number, Path>();
  const known = new Map<string, Feature>();
  const feature = (tag: string): Feature => {
    const made = known.get(tag) ?? (tag.startsWith('-') ? new Feature(tag.slice(1), 0) : new Feature(tag, 1));
    known.set(tag, made);
    return made;
  };
  return {
    key,
    unitsPerEm: face.upem,
    ascender: extents.ascender,
    descender: extents.descender,
    has: (codePoint) => characters.has(codePoint),
    features: new Set([...face.getTableFeatureTags('GSUB'), ...face.getTableFeatureTags('GPOS')]),
    shape: (text, language, features) => {
      const buffer = new Buffer();
      buffer.addText(text);
      buffer.guessSegmentProperties();
      buffer.setLanguage(language);
      shape(font, buffer, features.map(feature));
      return buffer.getGlyphInfosAndPositions().map((g) => ({
        gid: g.codepoint,
        cluster: g.cluster,
        advance: g.xAdvance ?? 0,
        dx: g.xOffset ?? 0,
        dy: g.yOffset ?? 0,
      }));
    },
    advance: (gid) => font.glyphHAdvance(gid),
    facts: factsOf(face, extents.ascender),
    extents: (gid) => {
      const box = font.glyphExtents(gid);
      if (!box || box.width === 0) return undefined;
      // HarfBuzz measures height downward from the top.
      const { xBearing: xMin, yBearing: yMax, width, height } = box;
      return { xMin, yMax, xMax: xMin + width, yMin: yMax + height };
    },
    outline: (gid) => {
      const before = outlines.get(gid);
      if (before) return before;
      const path = cubic(font.glyphToJson(gid));
      outlines.set(gid, path);
      return path;
    },
  };
}

/** TrueType’s quadratic curves as cubics, which every reader draws. */
function cubic(commands: readonly { type: string; values: number[] }[]): Path {
  const path: Segment[] = [];
  let [x, y] = [0, 0];
  for (const { type, values } of commands) {
    const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0] = values;
    switch (type) {
      case 'M':
      case 'L':
        path.push([type, a, b]);
        [x, y] = [a, b];
        break;
      case 'Q':
        path.push(cubicOf({ x, y }, { x: a, y: b }, { x: c, y: d }));
        [x, y] = [c, d];
        break;
      case 'C':
        path.push(['C', a, b, c, d, e, f]);
        [x, y] = [e, f];
        break;
      case 'Z':
        path.push(['Z']);
        break;
    }
  }
  return path;
}

/** OpenType head, OS/2 and post; what a table lacks is taken from its neighbours. */
function factsOf(face: Face, ascender: number): FontFacts {
  const table = (tag: string) => {
    const bytes = face.referenceTable(tag);
    return bytes && new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  };
  const [head, os2, post] = [table('head'), table('OS/2'), table('post')];
  const bound = (at: number) => head?.getInt16(at) ?? 0;
  return {
    bounds: [bound(36), bound(38), bound(40), bound(42)],
    capHeight: os2 && os2.byteLength >= 90 ? os2.getInt16(88) : Math.round(ascender * 0.7),
    italicAngle: post && post.byteLength >= 8 ? post.getInt32(4) / 65536 : 0,
    postscriptOutlines: face.referenceTable('CFF ') !== undefined,
  };
}
