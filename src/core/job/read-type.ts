import type { ParagraphChanges, ParagraphLook } from '../element';
import { formatLength, formatNumber, parseLength, type FieldContext, type Parsed } from '../measure';

/** A family that can be set, and the weights it has. */
export interface SettableFamily {
  readonly family: string;
  readonly weights: readonly number[];
}

/** What a line of type says of a text; what it leaves out stays as it is. */
export type TypeSpec = ParagraphChanges;

const HANGING = { indent: 4, firstIndent: -4 } as const;

/** Words of one meaning each. */
const WORDS: Readonly<Record<string, TypeSpec>> = {
  light: { weight: 300 },
  regular: { weight: 400 },
  semibold: { weight: 600 },
  bold: { weight: 700 },
  italic: { italic: true },
  upright: { italic: false },
  caps: { case: 'upper' },
  smallcaps: { case: 'small-caps' },
  typed: { case: 'typed' },
  left: { align: 'left' },
  centred: { align: 'centre' },
  right: { align: 'right' },
  justified: { align: 'justified' },
  hyphenated: { hyphenate: true },
  unhyphenated: { hyphenate: false },
  tabular: { figureWidth: 'tabular' },
  underlined: { underline: true },
  bullets: { list: { list: 'bullet', mark: '•' }, ...HANGING },
  numbered: { list: { list: 'number', style: '1', after: '.', start: null }, ...HANGING },
  even: { breaking: 'balanced' },
  keep: { keepWithNext: true },
  grid: { onGrid: true },
};

/** Words that a length follows. */
const LENGTHS: Readonly<Record<string, 'before' | 'after' | 'indent' | 'indentRight' | 'firstIndent'>> = {
  before: 'before',
  after: 'after',
  indent: 'indent',
  'indent-right': 'indentRight',
  first: 'firstIndent',
};

const SIZE = /^(\d+(?:\.\d+)?)(?:\/(\d+(?:\.\d+)?|auto)|pt)$/i;
const TRACKING = /^[+−-]\d+(?:\.\d+)?$/;

/**
 * Type as it is marked up for setting: `Lora italic 19/24`, `Oswald 600 20/24 caps before 4 after 1.5`. Face, weight,
 * slope, size/leading in points (or `20pt`), case, lines, tracking, and room by name, in any order.
 */
export function readTypeSpec(
  text: string,
  families: readonly SettableFamily[],
  context: FieldContext,
): Parsed<TypeSpec> {
  const found = familyIn(text, families);
  // What was read is blanked out, so that places in the rest stay true.
  const rest = found ? text.slice(0, found.at) + ' '.repeat(found.length) + text.slice(found.at + found.length) : text;
  let spec: TypeSpec = found ? { family: found.family } : {};
  const tokens = [...rest.matchAll(/\S+/g)];
  for (let i = 0; i < tokens.length; i += 1) {
    const token = tokens[i];
    if (!token) break;
    const [word] = token;
    const length = LENGTHS[word.toLowerCase()];
    if (length) {
      const next = tokens[i + 1];
      const given = next ? parseLength(next[0].replace('−', '-'), context) : undefined;
      if (!next || !given?.ok || (length !== 'firstIndent' && given.value < 0)) {
        return {
          ok: false,
          error: {
            at: token.index,
            length: word.length,
            message: `A length is wanted after “${word}”, as in “${word} 3”.`,
          },
        };
      }
      spec = { ...spec, [length]: given.value };
      i += 1;
      continue;
    }
    const read = /^drop\d+$/i.test(word)
      ? { dropCap: Math.min(20, Number(word.slice(4))) }
      : readToken(word, families, found?.family);
    if (!read) {
      const message = /^\d/.test(word)
        ? 'A size is written 20/24 or 20pt, a weight 400 or 700.'
        : `“${word}” is no face that is here and no word for setting (italic, bold, caps, centred, before 3).`;
      return { ok: false, error: { at: token.index, length: word.length, message } };
    }
    spec = { ...spec, ...read };
  }
  const size = spec.sizePt ?? 12;
  if (size < 0.5 || size > 5000)
    return { ok: false, error: { at: 0, length: text.length, message: 'A size lies between 0.5 and 5000 pt.' } };
  return { ok: true, value: spec };
}

function familyIn(text: string, families: readonly SettableFamily[]) {
  const words = ` ${text.toLowerCase()} `;
  return families
    .map(({ family }) => ({ family, at: words.indexOf(` ${family.toLowerCase()} `), length: family.length }))
    .filter(({ at }) => at >= 0)
    .sort((a, b) => b.length - a.length)[0];
}

function readToken(
  word: string,
  families: readonly SettableFamily[],
  family: string | undefined,
): TypeSpec | undefined {
  const size = SIZE.exec(word);
  if (size?.[1]) {
    const leading = size[2]?.toLowerCase();
    return {
      sizePt: Number(size[1]),
      ...(leading !== undefined && { leadingPt: leading === 'auto' ? null : Number(leading) }),
    };
  }
  if (TRACKING.test(word)) return { tracking: Number(word.replace('−', '-')) };
  const known = families.filter((f) => family === undefined || f.family === family).flatMap((f) => f.weights);
  if (known.includes(Number(word))) return { weight: Number(word) };
  return WORDS[word.toLowerCase()];
}

/** The same line, from a look. */
export function writeTypeSpec(look: ParagraphLook, { unit, ppi }: FieldContext): string {
  const { family, weight, italic, sizePt, leadingPt, tracking, align } = look;
  const room = Object.entries(LENGTHS).flatMap(([word, key]) => {
    const length = look[key];
    return typeof length === 'number' && length !== 0 && look.list === null
      ? [`${word} ${formatLength(length, unit, ppi)}`]
      : [];
  });
  return [
    family,
    weight === 400 ? '' : String(weight),
    italic ? 'italic' : '',
    `${formatNumber(sizePt)}/${leadingPt === null ? 'auto' : formatNumber(leadingPt)}`,
    look.case === 'upper' ? 'caps' : look.case === 'small-caps' ? 'smallcaps' : '',
    align === 'left' ? '' : align === 'centre' ? 'centred' : align,
    tracking === 0 ? '' : `${tracking > 0 ? '+' : '−'}${formatNumber(Math.abs(tracking))}`,
    look.list === null ? '' : look.list.list === 'bullet' ? 'bullets' : 'numbered',
    ...room,
  ]
    .filter(Boolean)
    .join(' ');
}
