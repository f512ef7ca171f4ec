import { readFileSync } from 'node:fs';
import { openFont } from '../bring-in/font';
import { USUAL_LOOK, plainParagraphs, type Paragraph, type ParagraphLook } from '../core/element';
import {
  SHIPPED_FACES,
  composeText,
  faceContext,
  nearestFace,
  plainBox,
  type ComposedText,
  type Face,
  type Hyphenator,
  type TextBox,
  type TypeContext,
} from '../core/type';

/** Set type for the tests. */
export const fontBytes = (key: string) => readFileSync(`public/fonts/${key}.ttf`);

export function shippedFace(family: string, weight = 400, italic = false): Face {
  const shipped = nearestFace(
    SHIPPED_FACES.filter((f) => f.family === family),
    weight,
    italic,
  );
  if (!shipped) throw new Error(`${family} does not ship.`);
  return { ...shipped, files: shipped.files.map((key) => openFont(key, fontBytes(key))) };
}

export const SANS = shippedFace('Source Sans 3');

export type Look = Partial<ParagraphLook>;
export const lookOf = (more: Look = {}): ParagraphLook => ({ ...USUAL_LOOK, sizePt: 12, ...more });

const contexts = new Map<object, TypeContext>();
/** One context a face or a hyphenator, as a composer keeps it. */
export function contextOf(face: Face = SANS, hyphenator?: Hyphenator): TypeContext {
  const key = hyphenator ?? face;
  const made = contexts.get(key) ?? faceContext(face, hyphenator);
  contexts.set(key, made);
  return made;
}

/** Paragraphs each in a look of its own, set into frames. */
export const setLooked = (
  list: readonly (readonly [text: string | Paragraph, look: Look])[],
  boxes: readonly TextBox[],
  hyphenator?: Hyphenator,
): ComposedText =>
  composeText(
    list.flatMap(([text, look]) =>
      (typeof text === 'string' ? plainParagraphs(text) : [text]).map((paragraph) => ({
        paragraph,
        look: lookOf(look),
      })),
    ),
    boxes,
    'en-GB',
    contextOf(SANS, hyphenator),
  );

/** Plain words in one look, set into a frame. */
export const setWords = (
  text: string,
  width: number,
  look: Look = {},
  height = 1000,
  hyphenator?: Hyphenator,
): ComposedText => setLooked([[text, look]], [plainBox(width, height)], hyphenator);

export const linesOf = (text: ComposedText): readonly string[] =>
  text.lines.map((l) => l.glyphs.map((g) => g.text).join(''));
