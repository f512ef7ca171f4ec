import type { Mm } from '../measure';
import type { Face, ShapedGlyph, ShapingFont } from './font';

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
  /** OpenType features, on (`onum`) or off (`-kern`). */
  readonly features: readonly string[];
}

/** Characters that set nothing themselves. */
const INVISIBLE = /[\u00ad\u200b\u2028\u2060\ufeff]/g;

/** What every font sets alike without being asked for it. */
const NEUTRAL = /[\s\p{M}\u200d]/u;

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
    const stays = last && NEUTRAL.test(char) && last.font.has(code);
    const font = stays ? last.font : (files.find((f) => f.has(code)) ?? files[0]);
    if (!font) return runs;
    if (last?.font === font) last.text += char;
    else runs.push({ font, from: at, text: char });
    at += char.length;
  }
  return runs;
}

/** Most stretches remembered of a font; then it begins anew. */
const MOST_KNOWN = 20_000;

const shapedBy = new WeakMap<ShapingFont, Map<string, readonly ShapedGlyph[]>>();

/** What a font makes of a text, remembered: lines are set again and again while words are typed. */
function shapeOnce(
  font: ShapingFont,
  text: string,
  language: string,
  features: readonly string[],
): readonly ShapedGlyph[] {
  const known = shapedBy.get(font) ?? new Map<string, readonly ShapedGlyph[]>();
  shapedBy.set(font, known);
  const key = `${language} ${features.join()} ${text}`;
  const before = known.get(key);
  if (before) return before;
  const made = font.shape(text, language, features);
  if (known.size > MOST_KNOWN) known.clear();
  known.set(key, made);
  return made;
}

/** Shapes text. */
export function shapeText(text: string, style: ShapeStyle): readonly SetGlyph[] {
  const out: SetGlyph[] = [];
  for (const run of splitByFont(text, style.face.files)) {
    const scale = style.size / run.font.unitsPerEm;
    const shaped = shapeOnce(run.font, run.text, style.language, style.features);
    let clusterEnd = 0;
    shaped.forEach((glyph, i) => {
      const endsCluster = shaped[i + 1]?.cluster !== glyph.cluster;
      const first = shaped[i - 1]?.cluster !== glyph.cluster;
      if (first) {
        let next = i + 1;
        while (shaped[next]?.cluster === glyph.cluster) next += 1;
        clusterEnd = shaped[next]?.cluster ?? run.text.length;
      }
      const part = first ? run.text.slice(glyph.cluster, clusterEnd) : '';
      if (part !== '' && part.replace(INVISIBLE, '') === '') return;
      out.push({
        font: run.font.key,
        gid: glyph.gid,
        at: run.from + glyph.cluster,
        text: part,
        advance: glyph.advance * scale + (endsCluster ? style.tracking : 0),
        dx: glyph.dx * scale,
        dy: glyph.dy * scale,
      });
    });
  }
  return out;
}
