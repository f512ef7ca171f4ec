import { SYMBOLOGY, codePath, codeSize, placeCode, readContent, type CodeModules } from '../code';
import type { Item, Note } from '../drawing';
import type { ElementOf } from '../element';
import { multiply, rectPath, type Rect } from '../layout';
import { mmToPt, type Mm } from '../measure';
import { noteItems, type FontSet } from '../type';
import type { Body, ElementContext, Setting } from './context';
import { fineInkOf, solidInk } from './ink';

type CodeElement = ElementOf<'code'>;

/** What people read beneath bars: digits of one width each. */
export const CODE_FACE = { family: 'IBM Plex Mono', weight: 400, italic: false } as const;
/** How high it is, and how high the line is that it stands in, in modules [cp]. */
const [HIGH, LINE] = [8, 10];

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
  const face = element.words && isBars(element) ? faceOf(context.fonts) : undefined;
  const bars = face ? withoutLine(rect, code.modules, element) : rect;
  const place = placeCode(symbology, code.modules, bars);
  const plain = { from: element.id, opacity: 1, matrix };
  const whole = face ? { ...place.whole, height: rect.y + rect.height - place.whole.y } : place.whole;
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
      path: codePath(code.modules, place, reduction),
      // Bars are as fine as type: black lies over what is beneath.
      fill: fineInkOf(paint, context.colour),
      stroke: null,
    },
  ];
  if (face) {
    const { items: words } = noteItems(
      {
        text: code.words,
        sizePt: mmToPt(place.module * HIGH),
        at: { x: rect.x, y: place.bars.y + place.bars.height + place.module },
        width: rect.width,
        align: 'centre',
        ink: fineInkOf(paint, context.colour),
        from: element.id,
      },
      face,
    );
    items.push(...words.map((item) => ({ ...item, matrix: multiply(matrix, item.matrix) })));
  }
  const note: Note = {
    kind: 'code',
    element: element.id,
    module: place.module,
    whole,
  };
  return { items, ink: rect, notes: [note] };
}

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
