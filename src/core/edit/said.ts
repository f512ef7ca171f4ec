import {
  paintKey,
  readPlacement,
  styleBook,
  withTextStyle,
  writePlacement,
  writeTypeSpec,
  type Element,
  type Job,
  type PlacementContext,
} from '../job';
import { formatNumber, type FieldError, type Parsed } from '../measure';
import { CannotChange } from './changes/change';
import { readElement, withLook, type Look } from './changes/look';

/** What a line says of an element; what it leaves out stays. */
export interface Said {
  readonly name?: string;
  readonly placement?: Element['placement'];
  /** Name of the paragraph style that it follows. */
  readonly style?: string;
  readonly look: Look;
  /** Width of its line, points. */
  readonly widthPt?: number;
  /** From 0 to 1. */
  readonly opacity?: number;
}

/** Between the parts of a line. */
const BAR = ' | ';

/**
 * An element in one line, as one would say it: `safe: left 0 mm, right 0 mm, top 12 mm, height 20 mm | in Lora 19/24
 * left | ink paper`; of a shape `| fill 88 78 38 36 | line 0.75 pt 0 0 0 100`.
 */
export function writeSaid(job: Job, element: Element, context: PlacementContext): string {
  return [writePlacement(element.placement, context), ...lookWords(job, element, context), ...clearWords(element)].join(
    BAR,
  );
}

function lookWords(job: Job, element: Element, context: PlacementContext): readonly string[] {
  switch (element.kind) {
    case 'text':
    case 'table': {
      const look = styleBook(job).base(element);
      const style = element.kind === 'text' && job.styles.find((s) => s.id === element.style);
      return [
        ...(style ? [`style ${style.name}`] : []),
        `in ${writeTypeSpec(look, context)}`,
        `ink ${paintKey(look.paint)}`,
      ];
    }
    case 'shape': {
      const { fill } = element;
      const area = fill?.kind === 'gradient' ? [] : [`fill ${fill ? paintKey(fill) : 'none'}`];
      return [...area, ...lineWords(element.stroke)];
    }
    case 'line':
      return lineWords(element.stroke);
    default:
      return [];
  }
}

function lineWords(stroke: Extract<Element, { kind: 'shape' | 'line' }>['stroke']): readonly string[] {
  if (!stroke) return [];
  const { paint, widthPt } = stroke;
  return [`line ${formatNumber(widthPt)} pt ${paintKey(paint)}`];
}

const clearWords = ({ opacity }: Element): readonly string[] =>
  opacity === 1 ? [] : [`opacity ${formatNumber(opacity * 100)} %`];

/** A part of a line: the word that it begins with, what follows, and where it stands. */
interface Part {
  readonly word: string;
  readonly rest: string;
  readonly at: number;
  readonly length: number;
}

const KEYWORD = /^(called|style|in|ink|fill|line|opacity)\s(.*)$/is;

function partsOf(text: string): readonly Part[] {
  let from = 0;
  return text.split('|').map((part) => {
    const said = part.trim();
    const at = from + part.indexOf(said);
    from += part.length + 1;
    const [, word = '', rest = said] = KEYWORD.exec(said) ?? [];
    return { word: word.toLowerCase(), rest: rest.trim(), at, length: said.length };
  });
}

const refused = ({ at, length }: Part, message: string): { readonly ok: false; readonly error: FieldError } => ({
  ok: false,
  error: { at, length: Math.max(1, length), message },
});

/**
 * Reads what `writeSaid` writes, or a part of it; `called Headline` gives a name. A part that says what is there
 * already changes nothing: what follows from a style goes on following from it.
 * @returns what is said, or where and why it cannot be
 */
export function readSaid(text: string, job: Job, element: Element, context: PlacementContext): Parsed<Said> {
  const known = new Set(partsOf(writeSaid(job, element, context)).map(({ word, rest }) => `${word} ${rest}`));
  let said: Said = { look: {} };
  for (const part of partsOf(text)) {
    if (part.length === 0 || known.has(`${part.word} ${part.rest}`)) continue;
    const read = readPart(part, element, context);
    if (!read.ok) return read;
    const next = { ...said, ...read.value, look: { ...said.look, ...read.value.look } };
    try {
      withSaid(job, element, next);
    } catch (error) {
      if (error instanceof CannotChange) return refused(part, error.message);
      throw error;
    }
    said = next;
  }
  return { ok: true, value: said };
}

const WIDTH = /^(\d+(?:[.,]\d+)?)\s?pt(?=\s|$)/i;
const PERCENT = /^(\d+(?:[.,]\d+)?)\s*%?$/;

const numberOf = (text: string): number => Number(text.replace(',', '.'));

function readPart(part: Part, { kind, placement }: Element, context: PlacementContext): Parsed<Partial<Said>> {
  const { word, rest } = part;
  const look = (said: Look): Parsed<Partial<Said>> => ({ ok: true, value: { look: said } });
  switch (word) {
    case 'called':
      return { ok: true, value: { name: rest } };
    case 'style':
      return { ok: true, value: { style: rest } };
    case 'in':
      return look({ in: rest });
    case 'ink':
      return look({ ink: rest });
    case 'fill':
      return look({ fill: /^none$/i.test(rest) ? null : rest });
    case 'line': {
      const [all = '', width] = WIDTH.exec(rest) ?? [];
      const paint = rest.slice(all.length).trim();
      const value = { look: paint ? { stroke: paint } : {}, ...(width !== undefined && { widthPt: numberOf(width) }) };
      return { ok: true, value };
    }
    case 'opacity': {
      const percent = numberOf(PERCENT.exec(rest)?.[1] ?? 'none');
      if (!(percent <= 100)) return refused(part, 'An opacity is from 0 to 100 %.');
      return { ok: true, value: { opacity: percent / 100 } };
    }
    default: {
      const read = readPlacement(rest, placement, { ...context, isLine: kind === 'line' });
      if (read.ok) return { ok: true, value: { placement: read.value } };
      // After the first bar mostly something else than a place is meant.
      if (part.at > 0 && !/[:;,]/.test(rest))
        return refused(
          part,
          `“${rest}” is no place. A part begins with called, style, in, ink, fill, line or opacity.`,
        );
      return { ok: false, error: { ...read.error, at: read.error.at + part.at } };
    }
  }
}

/** An element as a line says that it is. @throws CannotChange where its kind has no such thing */
export function withSaid(job: Job, element: Element, said: Said): Element {
  const { name, placement, style, look, widthPt, opacity } = said;
  const isFollower = element.kind === 'text' && element.after !== null;
  if (isFollower && [style, look.in, look.ink].some((one) => one !== undefined))
    throw new CannotChange('Its text begins in another frame: say there what it is set in.');
  const placed = {
    ...element,
    ...(name !== undefined && { name }),
    ...(placement && { placement }),
    ...(opacity !== undefined && { opacity }),
  };
  return readElement(withLineWidth(withLook(job, withStyle(job, placed, style), look), widthPt));
}

function withStyle(job: Job, element: Element, name: string | undefined): Element {
  if (name === undefined) return element;
  if (element.kind !== 'text') throw new CannotChange('Only a text follows a paragraph style.');
  const styles = job.styles.filter((s) => s.of === 'paragraph');
  const style = styles.find((s) => s.name.toLowerCase() === name.toLowerCase());
  if (style) return withTextStyle(element, style.id);
  throw new CannotChange(`There is no paragraph style “${name}”. There are: ${styles.map((s) => s.name).join(', ')}.`);
}

function withLineWidth(element: Element, widthPt: number | undefined): Element {
  if (widthPt === undefined) return element;
  if (element.kind === 'line') return { ...element, stroke: { ...element.stroke, widthPt } };
  if (element.kind === 'shape' && element.stroke) return { ...element, stroke: { ...element.stroke, widthPt } };
  throw new CannotChange('It has no line: say its paint as well, as in “line 0.75 pt 0 0 0 100”.');
}
