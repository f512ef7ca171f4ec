import type { Mm } from '../measure';
import type { Face, ShapingFont } from './font';

/** A glyph measured in mm, with the text it stands for. */
export interface SetGlyph {
  readonly font: string;
  readonly gid: number;
  /** Index of its cluster in the shaped text. */
  readonly at: number;
  readonly text: string;
  readonly advance: Mm;
  readonly dx: Mm;
  readonly dy: Mm;
}

export interface ShapeStyle {
  readonly face: Face;
  /** Size of the em, mm. */
  readonly size: Mm;
  /** Added after every cluster, mm. */
  readonly tracking: Mm;
  readonly language: string;
}

/** Characters that set nothing themselves. */
const INVISIBLE = /[\u00ad\u200b\u2060\ufeff]/g;

/** Stretches of text that one font file can set; what no file has goes to the first, as its missing-glyph box. */
function splitByFont(
  text: string,
  files: readonly ShapingFont[],
): readonly { font: ShapingFont; from: number; text: string }[] {
  const runs: { font: ShapingFont; from: number; text: string }[] = [];
  let at = 0;
  for (const char of text) {
    const code = char.codePointAt(0) ?? 0;
    const last = runs.at(-1);
    // A space, a joiner or a combining mark stays with its neighbour where that font has it.
    const stays = last && /[\s\p{M}\u200d]/u.test(char) && last.font.has(code);
    const font = stays ? last.font : (files.find((f) => f.has(code)) ?? files[0]);
    if (!font) return runs;
    if (last?.font === font) last.text += char;
    else runs.push({ font, from: at, text: char });
    at += char.length;
  }
  return runs;
}

/** Shapes text once. Ligatures are off when letters are spaced, as in metal. */
export function shapeText(text: string, style: ShapeStyle): readonly SetGlyph[] {
  const out: SetGlyph[] = [];
  for (const run of splitByFont(text, style.face.files)) {
    const scale = style.size / run.font.unitsPerEm;
    const shaped = run.font.shape(run.text, style.language, style.tracking === 0);
    shaped.forEach((glyph, i) => {
      const next = shaped[i + 1];
      const endsCluster = next?.cluster !== glyph.cluster;
      const first = shaped[i - 1]?.cluster !== glyph.cluster;
      const clusterEnd = shaped.slice(i).find((g) => g.cluster !== glyph.cluster)?.cluster ?? run.text.length;
      const text = first ? run.text.slice(glyph.cluster, clusterEnd) : '';
      if (text !== '' && text.replace(INVISIBLE, '') === '') return;
      out.push({
        font: run.font.key,
        gid: glyph.gid,
        at: run.from + glyph.cluster,
        text,
        advance: glyph.advance * scale + (endsCluster ? style.tracking : 0),
        dx: glyph.dx * scale,
        dy: glyph.dy * scale,
      });
    });
  }
  return out;
}

/** Width of set glyphs; the tracking after the last letter does not count. */
export const widthOf = (glyphs: readonly SetGlyph[], tracking: Mm): Mm =>
  glyphs.length === 0 ? 0 : glyphs.reduce((sum, g) => sum + g.advance, 0) - tracking;
