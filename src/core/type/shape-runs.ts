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
const NEUTRAL = /[\s\u200d]/u;

/** A letter with its accents, or one sign. */
const SIGN = /\P{M}\p{M}*|\p{M}+/gu;

/** Signs that say the same and are as long, the nearest first: a hyphen that does not break is a hyphen. */
const ALIKE: Readonly<Record<string, readonly string[]>> = {
  '\u2011': ['\u2010', '-'],
  '\u2010': ['-'],
};

/** A stretch of text that one font file sets. */
interface Stretch {
  readonly font: ShapingFont;
  readonly from: number;
  text: string;
  /** As the font is asked for it; as long as the text. */
  asked: string;
}

const hasAll = (font: ShapingFont, sign: string): boolean =>
  Array.from(sign).every((char) => font.has(char.codePointAt(0) ?? 0));

/**
 * The file that can set a sign, and how it is asked for: as it was typed; as one letter, where it was typed as a letter
 * and its accents and the font has them as one (HarfBuzz puts them together); or as another sign that says the same.
 * What no file has goes to the first, as its missing-glyph box.
 */
function settingOf(
  sign: string,
  files: readonly ShapingFont[],
): { readonly font: ShapingFont; readonly asked: string } | undefined {
  const [first] = files;
  if (!first) return undefined;
  const whole = files.find((font) => hasAll(font, sign));
  if (whole) return { font: whole, asked: sign };
  const composed = sign.normalize('NFC');
  const composing = composed === sign ? undefined : files.find((font) => hasAll(font, composed));
  if (composing) return { font: composing, asked: composed.length === sign.length ? composed : sign };
  for (const other of ALIKE[sign] ?? []) {
    const font = files.find((file) => hasAll(file, other));
    if (font) return { font, asked: other };
  }
  return { font: first, asked: sign };
}

/** Stretches of text that one font file can set. */
function splitByFont(text: string, files: readonly ShapingFont[]): readonly Stretch[] {
  const [first] = files;
  if (!first) return [];
  // Nearly always one file has all of it.
  if (hasAll(first, text)) return [{ font: first, from: 0, text, asked: text }];
  const runs: Stretch[] = [];
  let at = 0;
  for (const sign of text.match(SIGN) ?? []) {
    const last = runs.at(-1);
    // A space or a joiner stays with its neighbour where that font has it.
    const stays = last && NEUTRAL.test(sign) && hasAll(last.font, sign);
    const { font, asked } = stays
      ? { font: last.font, asked: sign }
      : (settingOf(sign, files) ?? { font: first, asked: sign });
    if (last?.font === font) {
      last.text += sign;
      last.asked += asked;
    } else runs.push({ font, from: at, text: sign, asked });
    at += sign.length;
  }
  return runs;
}

/** Most stretches remembered of a font; then it begins anew. */
const MOST_KNOWN = 5_000;

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
    const shaped = shapeOnce(run.font, run.asked, style.language, style.features);
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
