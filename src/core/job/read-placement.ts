import { boxOfAxis, isMeasureRef, type Axis, type AxisKey, type BoxRef, type Len, type Placement } from '../element';
import { factsOf, restate, restateAxis, roomOf, spanX, spanY, withFact, type Rect, type SurfaceBoxes } from '../layout';
import { formatLength, formatNumber, type FieldContext, type FieldError, type Parsed } from '../measure';
import type { NamedMeasure } from './named-measure';
import { readLength, writeLength } from './read-length';

/** A box that something can be held against, by the name that people write. */
export interface NamedBox {
  readonly ref: BoxRef;
  readonly name: string;
}

/** What a line of placement is read in. */
export interface PlacementContext extends FieldContext {
  readonly boxes: SurfaceBoxes;
  readonly named: readonly NamedBox[];
  readonly measures: readonly NamedMeasure[];
  /** Where the element stands now. */
  readonly rect: Rect;
  /** What has no height, or no width, and is seen all the same: a line. */
  readonly isLine?: boolean;
}

/** Why nothing can be so wide or high; undefined where it can. */
export function sizeProblem(size: Len, isLine: boolean): string | undefined {
  const least = typeof size === 'number' ? size : 'percent' in size ? size.percent : undefined;
  if (least === undefined || least > 0 || (least === 0 && isLine)) return undefined;
  return least < 0 ? 'A size cannot be negative.' : 'Nothing is seen of a size of 0. Give it more, or remove it.';
}

type AxisName = 'x' | 'y';
type Fact = Len | 'content';

/** Words of the facts, in the order in which they are written. */
const WORDS: Readonly<Record<AxisName, readonly (readonly [word: string, key: AxisKey])[]>> = {
  x: [
    ['left', 'start'],
    ['right', 'end'],
    ['width', 'size'],
    ['centre', 'centre'],
  ],
  y: [
    ['top', 'start'],
    ['bottom', 'end'],
    ['height', 'size'],
    ['middle', 'centre'],
  ],
};

const AXES = ['x', 'y'] as const;

const refused = (error: FieldError): { readonly ok: false; readonly error: FieldError } => ({ ok: false, error });

/** A length, a named measure, a share of the box (`50 %`), or what the content takes. */
function writeFact(fact: Fact, { unit, ppi, measures }: PlacementContext): string {
  if (fact === 'content') return fact;
  if (isMeasureRef(fact)) return writeLength(fact, unit, ppi, measures);
  return typeof fact === 'object' ? `${formatNumber(fact.percent)} %` : formatLength(fact, unit, ppi);
}

/**
 * Reads a length, a named measure, or a share of the box: `50 %`.
 * @returns the fact as a placement holds it, or where and why the text is none
 */
export function readFact(text: string, context: FieldContext, measures: readonly NamedMeasure[]): Parsed<Len> {
  const share = /^\s*([-−]?\d+(?:[.,]\d+)?)\s*%\s*$/.exec(text);
  if (!share?.[1]) return readLength(text, context, measures);
  const percent = Number(share[1].replace(',', '.').replace('−', '-'));
  if (Math.abs(percent) <= 1000) return { ok: true, value: { percent } };
  return refused({ at: 0, length: text.length, message: 'At most 1000 % of the box.' });
}

const nameOf = (ref: BoxRef, { named }: PlacementContext): string => {
  const key = JSON.stringify(ref);
  return named.find((box) => JSON.stringify(box.ref) === key)?.name ?? ref.box;
};

/**
 * A placement as it would be typed: `safe: left 0 mm, right 0 mm, top 12 mm, height content`; with a box for each axis
 * `safe: left 0 mm, right 0 mm; Emblem: top 4 mm, height 20 mm`.
 */
export function writePlacement(placement: Placement, context: PlacementContext): string {
  const [x, y] = AXES.map((axis) => {
    const held = placement[axis];
    const facts = WORDS[axis].flatMap(([word, key]) => {
      const fact = held[key];
      return fact === undefined ? [] : [`${word} ${writeFact(fact, context)}`];
    });
    return { box: nameOf(boxOfAxis(placement, axis), context), facts: facts.join(', ') };
  });
  if (!x || !y) throw new RangeError('two axes');
  return x.box === y.box ? `${x.box}: ${x.facts}, ${y.facts}` : `${x.box}: ${x.facts}; ${y.box}: ${y.facts}`;
}

/** A stretch of what was typed, and where it begins. */
interface Piece {
  readonly text: string;
  readonly at: number;
}

/** Parts of a text between separators, each with its place. */
function piecesOf({ text, at }: Piece, separator: RegExp): readonly Piece[] {
  const found: Piece[] = [];
  let from = 0;
  for (const match of text.matchAll(separator)) {
    found.push({ text: text.slice(from, match.index), at: at + from });
    from = match.index + match[0].length;
  }
  return [...found, { text: text.slice(from), at: at + from }];
}

interface Given {
  readonly axis: AxisName;
  readonly key: AxisKey;
  readonly value: Fact;
}

/**
 * What stands between two facts: a comma, unless it is a decimal one between figures, or the next word after a figure.
 */
const BETWEEN = /,(?!\d)|(?<=[\d%mntxa])\s+(?=(?:left|right|width|centre|top|bottom|height|middle)\s)/gi;

/** `left 12 mm` */
function readGiven(piece: Piece, before: Placement, context: PlacementContext): Parsed<Given> {
  const said = piece.text.trim();
  const at = piece.at + piece.text.indexOf(said);
  const word = /^[a-z]+/i.exec(said)?.[0] ?? '';
  const text = said.slice(word.length).trim();
  const found = AXES.flatMap((axis) => WORDS[axis].map(([name, key]) => ({ axis, name, key }))).find(
    ({ name }) => name === word.toLowerCase(),
  );
  const place = { at, length: Math.max(1, word.length || said.length) };
  if (!found) {
    const words = AXES.flatMap((axis) => WORDS[axis].map(([name]) => name)).join(', ');
    return refused({ ...place, message: `“${said}” says none of ${words}, with a length after it.` });
  }
  const { axis, key } = found;
  if (text === '') return refused({ ...place, message: `A length is wanted after “${word}”, as in “${word} 3”.` });
  // A figure that was left as it stands is the very one that it stands for.
  const kept = before[axis][key];
  if (kept !== undefined && writeFact(kept, context) === text) return { ok: true, value: { axis, key, value: kept } };
  if (key === 'size' && text.toLowerCase() === 'content') return { ok: true, value: { axis, key, value: 'content' } };
  const read = readFact(text.replace('−', '-'), context, context.measures);
  const from = at + said.lastIndexOf(text);
  if (!read.ok) return refused({ ...read.error, at: read.error.at + from });
  const problem = key === 'size' ? sizeProblem(read.value, context.isLine ?? false) : undefined;
  if (problem !== undefined) return refused({ at: from, length: text.length, message: problem });
  return { ok: true, value: { axis, key, value: read.value } };
}

/** The box that a part names before its colon, and the rest of the part. */
function readBox(part: Piece, { named }: PlacementContext): Parsed<{ readonly box?: BoxRef; readonly rest: Piece }> {
  const lead = part.text.length - part.text.trimStart().length;
  const low = part.text.slice(lead).toLowerCase();
  // The longest name wins: one may begin as another does.
  const box = named
    .filter(({ name }) => low.slice(name.length).trimStart().startsWith(':') && low.startsWith(name.toLowerCase()))
    .sort((a, b) => b.name.length - a.name.length)[0];
  const colon = part.text.indexOf(':', lead + (box?.name.length ?? 0));
  if (!box && colon >= 0) {
    const name = part.text.slice(lead, colon).trim();
    return refused({
      at: part.at + lead,
      length: Math.max(1, name.length),
      message: `There is no box called “${name}” on this side that could hold it.`,
    });
  }
  const from = box ? colon + 1 : 0;
  return {
    ok: true,
    value: { ...(box && { box: box.ref }), rest: { text: part.text.slice(from), at: part.at + from } },
  };
}

/**
 * A placement in one line, as `writePlacement` writes it. What the line leaves out stays: without a box the element
 * keeps its own, and an axis of which one fact is given keeps the other that holds it.
 * @param before the placement as it is
 * @returns the placement, or where and why the text is none
 */
export function readPlacement(text: string, before: Placement, context: PlacementContext): Parsed<Placement> {
  const { boxes, rect } = context;
  let placement = before;
  for (const [i, part] of piecesOf({ text, at: 0 }, /;/g).entries()) {
    const head = readBox(part, context);
    if (!head.ok) return head;
    const { box, rest } = head.value;
    const given: Given[] = [];
    const facts = piecesOf(rest, BETWEEN).filter((piece) => piece.text.trim() !== '');
    for (const piece of facts) {
      const read = readGiven(piece, before, context);
      if (!read.ok) return read;
      given.push(read.value);
    }
    if (!box && given.length === 0)
      return refused({ at: part.at, length: Math.max(1, part.text.length), message: 'Say where it stands.' });
    if (box && i === 0 && !holds(placement, box)) placement = restate(placement, box, boxes, rect);
    for (const axis of AXES) {
      const own = given.filter((one) => one.axis === axis);
      if (own.length === 0) continue;
      // The other axis keeps what the line said of it before.
      if (box && i > 0) placement = { ...placement, [axis]: restateAxis(placement, axis, box, boxes, rect)[axis] };
      const held = axisWith(placement, axis, own, context);
      if (!held) {
        const words = WORDS[axis].map(([word]) => word).join(', ');
        return refused({ at: rest.at, length: rest.text.length, message: `Two of ${words} hold it, and no more.` });
      }
      placement = { ...placement, [axis]: held };
    }
  }
  return { ok: true, value: placement };
}

/** Whether a box holds both axes already. */
const holds = (placement: Placement, box: BoxRef): boolean =>
  AXES.every((axis) => JSON.stringify(boxOfAxis(placement, axis)) === JSON.stringify(box));

/** An axis with the facts that are given. @returns undefined where they are too many */
function axisWith(
  placement: Placement,
  axis: AxisName,
  given: readonly Given[],
  { boxes, rect }: PlacementContext,
): Axis | undefined {
  const before = placement[axis];
  const [first, second, ...more] = given;
  if (!first || more.length > 0 || first.key === second?.key) return undefined;
  if (second) return { [first.key]: first.value, [second.key]: second.value, ...(before.of && { of: before.of }) };
  const facts = factsOf(axis === 'x' ? spanX(rect) : spanY(rect), roomOf(placement, axis, boxes));
  return withFact(before, facts, first.key, first.value);
}
