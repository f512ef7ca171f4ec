import { dateWords, plainText, withWords, type Element, type ElementOf, type Slot } from '../element';
import { changedElements } from './differences';
import { baseById, baseOfSide, elementsOf, mapElements } from './inherit';
import type { Job, Piece, SideName } from './schema';

/** An element with a slot. */
export type SlotElement = (ElementOf<'text'> | ElementOf<'picture'>) & { readonly slot: Slot };

export interface FoundSlot {
  readonly side: SideName;
  readonly element: SlotElement;
}

export const hasSlot = (element: Element): element is SlotElement =>
  (element.kind === 'text' || element.kind === 'picture') && element.slot !== undefined;

/** What stays open of a piece, side by side. A base layout’s slots are filled on the pages that follow it. */
export const slotsOf = (piece: Piece): readonly FoundSlot[] =>
  elementsOf(piece).flatMap(({ side, element }) =>
    baseOfSide(side) === undefined && hasSlot(element) ? [{ side, element }] : [],
  );

/** A template made of a job; the job itself stays. */
export const templateOf = (job: Job, id: string): Job => {
  return {
    ...withoutTemplate(job),
    id,
    stage: 'template',
    due: null,
    quantity: null,
    previous: null,
    proofs: undefined,
  };
};

/**
 * A job begun from a template: its slots are open, the rest is fixed.
 * @param revision the state of the template that it begins from
 */
export const begunFrom = (template: Job, id: string, revision: number, name: string): Job => ({
  ...template,
  id,
  name,
  proofs: undefined,
  stage: 'brief',
  due: null,
  previous: null,
  template: { job: template.id, revision },
  pieces: template.pieces.map((piece) => mapElements(piece, (e) => withOpen(e, true))),
});

/** The job free of its template: everything can be changed, and nothing waits to be filled. */
export function freed(job: Job): Job {
  return { ...withoutTemplate(job), pieces: job.pieces.map((piece) => mapElements(piece, (e) => withOpen(e, false))) };
}

function withoutTemplate(job: Job): Job {
  const free = { ...job };
  delete free.template;
  return free;
}

function withOpen(element: Element, open: boolean): Element {
  if (element.kind === 'text' && element.slot) return { ...element, slot: { ...element.slot, open } };
  if (element.kind === 'picture' && element.slot) return { ...element, slot: { ...element.slot, open } };
  return element;
}

/** A text slot with other words, in the look that its first words have. */
export function withSlotWords(text: ElementOf<'text'>, words: string): ElementOf<'text'> {
  const end = plainText(text.paragraphs).length;
  return { ...text, paragraphs: withWords(text.paragraphs, [0, end], words) };
}

/** A date slot with another day, written out in the language of its text. */
export function withSlotDate(text: ElementOf<'text'>, date: string, language: string): ElementOf<'text'> {
  if (text.slot?.takes !== 'date') return text;
  const told = { ...text, slot: { ...text.slot, date } };
  return withSlotWords(told, dateWords(date, text.slot.form, text.language ?? language));
}

/** Facts that a slot of each kind leaves open. */
const OPEN: Readonly<Record<SlotElement['kind'], readonly string[]>> = {
  text: ['paragraphs', 'slot'],
  picture: ['picture', 'fit', 'focus', 'offset', 'turn', 'flip', 'adjust', 'slot'],
};

/** Facts of a job that its template does not fix: what the job is for, who prints it, and how it is sent. */
const FREE: readonly string[] = [
  'name',
  'client',
  'stage',
  'due',
  'quantity',
  'notes',
  'stock',
  'house',
  'output',
  'assets',
  'pieces',
  'unit',
  'step',
  'previous',
  'proofs',
];

export type Kept = { readonly ok: true; readonly job: Job } | { readonly ok: false; readonly problem: string };

/**
 * A change of a job that was begun from a template: taken with its slots marked as filled, or refused with the first
 * thing that is fixed.
 */
export function keptToTemplate(before: Job, after: Job): Kept {
  if (!before.template || !after.template) return { ok: true, job: after };
  const refuse = (what: string): Kept => ({
    ok: false,
    problem: `${what} is fixed by the template. Fill its slots, or free the job from its template to change anything.`,
  });
  const facts = differing(before, after).filter((key) => !FREE.includes(key));
  if (facts[0] !== undefined) return refuse(WORDS[facts[0]] ?? 'This');
  if (before.pieces.length !== after.pieces.length) return refuse('The number of pieces');
  const filled = new Set<string>();
  for (const [i, piece] of after.pieces.entries()) {
    const old = before.pieces[i];
    if (!old || old === piece) continue;
    for (const { side, element, how, before: was } of changedElements(old, piece)) {
      const base = baseById(old, baseOfSide(side));
      if (base) return refuse(`The base layout “${base.name}”`);
      const name = element.name ? `“${element.name}”` : `The ${element.kind}`;
      if (how !== 'changed' || !was || !hasSlot(was) || element.kind !== was.kind) return refuse(name);
      const open = OPEN[was.kind];
      if (differing(was, element).some((key) => !open.includes(key))) return refuse(`All but the content of ${name}`);
      if (differing(was, element).some((key) => key !== 'slot')) filled.add(element.id);
    }
    const rest = differing(old, piece).filter((key) => !BY_ELEMENTS.includes(key));
    if (rest.length > 0) return refuse('The set-up of the piece');
  }
  if (filled.size === 0) return { ok: true, job: after };
  const fill = (e: Element) => (filled.has(e.id) ? withOpen(e, false) : e);
  return { ok: true, job: { ...after, pieces: after.pieces.map((piece) => mapElements(piece, fill)) } };
}

/** Facts of a piece that are compared element by element. */
const BY_ELEMENTS: readonly string[] = ['surfaces', 'bases', 'layouts'];

const WORDS: Readonly<Record<string, string>> = {
  styles: 'The style',
  cellStyles: 'The cell style',
  measures: 'The measure',
  language: 'The language',
  kit: 'The kit',
};

/** Names of the facts that differ. */
function differing(a: object, b: object): readonly string[] {
  const [was, is] = [new Map(Object.entries(a)), new Map(Object.entries(b))];
  return [...new Set([...was.keys(), ...is.keys()])].filter((key) => {
    const x: unknown = was.get(key);
    const y: unknown = is.get(key);
    return x !== y && JSON.stringify(x) !== JSON.stringify(y);
  });
}
