import { z } from 'zod';
import {
  describeProblems,
  Element,
  plainParagraphs,
  readPaint,
  readTypeSpec,
  styleBook,
  withTextLook,
  type ElementOf,
  type Job,
  type ParagraphChanges,
  type SolidPaint,
} from '../../job';
import { changesOfSpec, settableOf } from '../families';
import { CannotChange } from './change';

/** How an element looks, in the words of the fields of the page. */
export const LOOK = {
  words: z.string().optional().describe('The words of a text; a new line begins a paragraph.'),
  in: z.string().optional().describe('Type in one line, such as `Lora italic 19/24 centred`.'),
  ink: z.string().optional().describe('The paint of its words: `88 78 38 36`, `paper`, an ink or a swatch by name.'),
  fill: z.string().nullable().optional().describe('The paint of its area, likewise; null for none.'),
  stroke: z.string().optional().describe('The paint of its line, likewise.'),
  set: z
    .record(z.string(), z.unknown())
    .optional()
    .describe('Facts as a job file holds them. Of `placement` and `look` what is not said stays as it is.'),
};
export type Look = z.infer<z.ZodObject<typeof LOOK>>;

/** An element with another look. @throws CannotChange when a field cannot be read, or the kind has no such field */
export function withLook(job: Job, element: Element, { words, in: line, ink, fill, stroke, set }: Look): Element {
  let next = set ? withFacts(element, set) : element;
  if (words !== undefined) next = withWordsAs(next, words);
  if (line !== undefined) next = withType(job, next, line);
  if (ink !== undefined) next = withLookOf(next, { paint: paintOf(job, ink) });
  if (fill !== undefined) next = withFill(job, next, fill);
  if (stroke !== undefined) next = withStroke(job, next, stroke);
  return next;
}

/** Facts of one level that are merged; everything else is replaced. */
const MERGED: readonly string[] = ['placement', 'look'];

function withFacts(element: Element, set: Readonly<Record<string, unknown>>): Element {
  const before: Readonly<Record<string, unknown>> = element;
  const facts = Object.entries(set).map(([key, value]) => [
    key,
    MERGED.includes(key) ? { ...(before[key] as object | undefined), ...(value as object) } : value,
  ]);
  return readElement({ ...element, ...Object.fromEntries(facts), kind: element.kind, id: element.id });
}

/** An element as a job file holds it. @throws CannotChange */
export function readElement(input: unknown): Element {
  const read = Element.safeParse(input);
  if (read.success) return read.data;
  throw new CannotChange(describeProblems(read.error).join(' '));
}

function withWordsAs(element: Element, words: string): Element {
  if (element.kind !== 'text') throw lacks(element, 'words');
  return { ...element, paragraphs: plainParagraphs(words) };
}

function withLookOf(element: Element, look: ParagraphChanges): Element {
  switch (element.kind) {
    case 'text':
      return withTextLook(element, look);
    case 'table':
      return { ...element, look: { ...element.look, ...look } };
    default:
      throw lacks(element, 'type');
  }
}

function withType(job: Job, element: Element, line: string): Element {
  if (element.kind !== 'text' && element.kind !== 'table') throw lacks(element, 'type');
  return withLookOf(element, typeOfLine(job, element, line));
}

/** What a line of type changes of a text or a table. @throws CannotChange when it cannot be read */
export function typeOfLine(job: Job, element: ElementOf<'text' | 'table'>, line: string): ParagraphChanges {
  const read = readTypeSpec(line, settableOf(job), { unit: job.unit, ppi: 300 });
  if (!read.ok) throw new CannotChange(`“${line}”: ${read.error.message}`);
  const base = styleBook(job).base(element);
  const { family = base.family, weight = base.weight } = element.look;
  return changesOfSpec(job, read.value, { family, weight });
}

/** A paint as it is written in a field. @throws CannotChange */
export function paintOf(job: Job, text: string): SolidPaint {
  const read = readPaint(text, job);
  if (read.ok) return read.value;
  throw new CannotChange(`“${text}”: ${read.error.message}`);
}

function withFill(job: Job, element: Element, fill: string | null): Element {
  if (element.kind !== 'shape') throw lacks(element, 'area');
  return { ...element, fill: fill === null ? null : paintOf(job, fill) };
}

function withStroke(job: Job, element: Element, stroke: string): Element {
  const paint = paintOf(job, stroke);
  switch (element.kind) {
    case 'line':
      return { ...element, stroke: { ...element.stroke, paint } };
    case 'shape':
      return readElement({ ...element, stroke: { widthPt: 1, ...element.stroke, paint } });
    default:
      throw lacks(element, 'line');
  }
}

const lacks = (element: Element, what: string): CannotChange =>
  new CannotChange(`“${element.name || element.id}” is a ${element.kind} and has no ${what}.`);
