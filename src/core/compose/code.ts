import {
  GUARD_REACH,
  SYMBOLOGY,
  beneath,
  codePath,
  codeSize,
  placeCode,
  readContent,
  type CodeModules,
  type CodePlace,
  type SignBeneath,
} from '../code';
import type { Item, Note } from '../drawing';
import type { ElementOf } from '../element';
import { rectPath, type Rect } from '../layout';
import type { Mm } from '../measure';
import { runsOf, shapeText, type Face, type FontSet } from '../type';
import type { Body, ElementContext, Setting } from './context';
import { fineInkOf, solidInk } from './ink';
import { weakMemo } from './memo';

type CodeElement = ElementOf<'code'>;

/** What people read beneath bars: digits of one width each. */
export const CODE_FACE = { family: 'IBM Plex Mono', weight: 400, italic: false } as const;
/** How high it is, and how high the line is that it stands in, in modules [cp]. */
const [HIGH, LINE] = [8, 10];
/** Between bars and words, in modules [cp]. */
const GAP = 1;

/** The modules of a code, or why it has none; undefined while what makes them is not at hand. */
function made({ symbology, content, level }: CodeElement, { encode }: Pick<ElementContext, 'encode'>) {
  const read = readContent(symbology, content);
  if (!read.ok) return read;
  if (!encode) return undefined;
  const code = encode({ symbology, data: read.data, level });
  return code.ok ? { ok: true as const, modules: code.modules, words: read.words } : code;
}

/** A code in its box: its ground, its bars, and what it says for people. */
export function composeCode(element: CodeElement, { rect, matrix }: Setting, context: ElementContext): Body {
  const code = made(element, context);
  if (!code || rect.width <= 0 || rect.height <= 0) return { items: [], ink: rect, notes: [] };
  if (!code.ok) {
    const note: Note = { kind: 'code-wrong', element: element.id, problem: code.problem };
    return { items: [], ink: rect, notes: [note] };
  }
  const { symbology, paint, ground, reduction } = element;
  const { modules } = code;
  const face = element.words && isBars(element) ? faceOf(context.fonts) : undefined;
  const bars = face ? withoutLine(rect, modules, element) : rect;
  const place = placeCode(symbology, modules, bars);
  const words = face && beneath(symbology, code.words, modules.wide, HIGH * advanceOf(face));
  const plain = { from: element.id, opacity: 1, matrix };
  const whole = face ? { ...place.whole, height: rect.y + rect.height - place.whole.y } : place.whole;
  // Bars are as fine as type: black lies over what is beneath.
  const ink = fineInkOf(paint, context.colour);
  const guards = words && { between: words.guards, reach: GUARD_REACH * place.module };
  const items: Item[] = [
    ...(ground
      ? [
          {
            ...plain,
            kind: 'path' as const,
            path: rectPath(whole),
            fill: solidInk(ground, context.colour),
            stroke: null,
          },
        ]
      : []),
    {
      ...plain,
      kind: 'path',
      path: codePath(modules, place, { reduction, ...(guards && { guards }) }),
      fill: ink,
      stroke: null,
    },
    ...(face && words ? wordItems(words.signs, place, face).map((item): Item => ({ ...plain, ...item, ink })) : []),
  ];
  const note: Note = { kind: 'code', element: element.id, module: place.module, whole };
  return { items, ink: rect, notes: [note] };
}

/** Signs beneath bars, each in the middle of its place. */
function wordItems(signs: readonly SignBeneath[], { bars, module }: CodePlace, face: Face) {
  const size = module * HIGH;
  const style = { face, size, tracking: 0, language: 'en', features: [] };
  const [file] = face.files;
  const capital = file ? file.facts.capHeight / file.unitsPerEm : 0.7;
  const y = bars.y + bars.height + module * GAP + size * capital;
  const glyphs = signs.flatMap(({ sign, middle }) => {
    let x = bars.x + middle * module;
    const shaped = shapeText(sign, style);
    x -= shaped.reduce((sum, { advance }) => sum + advance, 0) / 2;
    return shaped.map(({ font, gid, text, advance }) => {
      const glyph = { font, gid, x, y, text };
      x += advance;
      return glyph;
    });
  });
  // A sign that the face lacks is set in another: each file has an item of its own.
  return runsOf(glyphs, (a, b) => a.font === b.font).map((run) => ({
    kind: 'glyphs' as const,
    font: run[0].font,
    size,
    glyphs: run.map(({ font: _font, ...glyph }) => glyph),
  }));
}

const advances = weakMemo<number>();

/** How wide a digit is, in ems: all are alike in a face of one width. */
const advanceOf = (face: Face): number =>
  advances(face, [], () =>
    shapeText('0', { face, size: 1, tracking: 0, language: 'en', features: [] }).reduce(
      (sum, { advance }) => sum + advance,
      0,
    ),
  );

const isBars = ({ symbology }: CodeElement): boolean => SYMBOLOGY[symbology].form === 'bars';

const faceOf = (fonts: FontSet) => fonts.find(CODE_FACE.family, CODE_FACE.weight, CODE_FACE.italic);

/** The box without the line of words beneath. */
function withoutLine(rect: Rect, modules: CodeModules, { symbology }: CodeElement): Rect {
  const { module } = placeCode(symbology, modules, rect);
  return { ...rect, height: Math.max(rect.height / 2, rect.height - LINE * module) };
}

/** What a code takes by itself along an axis, mm. */
export function sizeOfCode(element: CodeElement, axis: 'x' | 'y', other: Mm | undefined, context: ElementContext): Mm {
  const code = made(element, context);
  if (!code?.ok) return SYMBOLOGY[element.symbology].form === 'bars' && axis === 'y' ? 20 : 30;
  const { width, height } = codeSize(element.symbology, code.modules);
  if (axis === 'x') return other === undefined || isBars(element) ? width : other * (width / height);
  const scale = other === undefined ? 1 : other / width;
  return (height + (isBars(element) && element.words ? LINE * SYMBOLOGY[element.symbology].module.usual : 0)) * scale;
}
