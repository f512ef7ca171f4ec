import { z } from 'zod';
import {
  CHARACTER_KEYS,
  CharacterChanges,
  ParagraphChanges,
  USUAL_LOOK,
  type CharacterLook,
  type ParagraphLook,
} from './look';
import { overCell, type CellChanges, type CellStyle } from './cell';
import type { Paragraph, Run } from './paragraph';
import { id } from './placement';

const common = {
  id,
  name: z.string().min(1).max(60),
  basedOn: id.nullable().default(null).describe('The style that says what this one does not.'),
};

/** A look with a name. What it leaves out it has from the style that it is based on. */
export const TypeStyle = z.discriminatedUnion('of', [
  z.strictObject({
    of: z.literal('paragraph'),
    ...common,
    next: id.nullable().default(null).describe('The style of the paragraph begun after one of this.'),
    look: ParagraphChanges.default({}),
  }),
  z.strictObject({ of: z.literal('character'), ...common, look: CharacterChanges.default({}) }),
]);
export type TypeStyle = z.infer<typeof TypeStyle>;
export type ParagraphStyle = Extract<TypeStyle, { of: 'paragraph' }>;
export type CharacterStyle = Extract<TypeStyle, { of: 'character' }>;

/** What a text says of its paragraphs. */
export interface TextBase {
  readonly style: string | null;
  readonly look: ParagraphChanges;
}

/** The styles of a job, ready to be asked. The same question gives the same object. */
export interface StyleBook {
  readonly styles: readonly TypeStyle[];
  /** The whole look of a paragraph style; of an unknown one or none, the usual look. */
  readonly style: (id: string | null | undefined) => ParagraphLook;
  /** The whole look of a text’s paragraphs that say nothing themselves. */
  readonly base: (text: TextBase) => ParagraphLook;
  readonly paragraph: (text: TextBase, paragraph: Paragraph) => ParagraphLook;
  /** The look of some words within a paragraph of a look. */
  readonly run: (within: ParagraphLook, run: Run) => CharacterLook;
  /** What a cell style says, with all that it is based on. */
  readonly cell: (id: string | null) => CellChanges;
}

/** Styles from the one asked for to the one that all is based on; a circle ends where it closes. */
function chainOf<S extends { readonly basedOn: string | null }>(
  styles: ReadonlyMap<string, S>,
  id: string | null | undefined,
): readonly S[] {
  const chain: S[] = [];
  let at = id ? styles.get(id) : undefined;
  while (at && !chain.includes(at)) {
    chain.push(at);
    at = at.basedOn === null ? undefined : styles.get(at.basedOn);
  }
  return chain;
}

/** The changes laid over a look; the look itself where they say nothing. */
const over = <L extends object>(look: L, changes: Partial<L> | undefined): L =>
  changes && Object.keys(changes).length > 0 ? { ...look, ...changes } : look;

export function styleBook({
  styles,
  cellStyles = [],
}: {
  readonly styles: readonly TypeStyle[];
  readonly cellStyles?: readonly CellStyle[];
}): StyleBook {
  const cells = new Map(cellStyles.map((style) => [style.id, style]));
  const known = new Map(styles.map((style) => [style.id, style]));
  const looks = new Map<string, ParagraphLook>();
  const changesOf = (id: string | undefined) =>
    [...chainOf(known, id)].reverse().reduce<ParagraphChanges>((all, { look }) => ({ ...all, ...look }), {});
  const style = (id: string | null | undefined): ParagraphLook => {
    if (!id) return USUAL_LOOK;
    const before = looks.get(id);
    if (before) return before;
    const made = over(USUAL_LOOK, changesOf(id) as Partial<ParagraphLook>);
    looks.set(id, made);
    return made;
  };
  const based = kept((look: ParagraphChanges, from: ParagraphLook) => over(from, look as Partial<ParagraphLook>));
  const base = (text: TextBase) => based(text.look, style(text.style));
  const characters = new Map<string, CharacterChanges>();
  const runOf = kept((run: Run, within: ParagraphLook): CharacterLook => {
    const named = run.style === undefined ? undefined : (characters.get(run.style) ?? changesOf(run.style));
    if (run.style !== undefined && named) characters.set(run.style, named);
    return over(over<CharacterLook>(within, named as Partial<CharacterLook>), run.look as Partial<CharacterLook>);
  });
  return {
    styles,
    style,
    base,
    paragraph: (text, paragraph) => {
      const from = paragraph.style === undefined ? base(text) : style(paragraph.style);
      return paragraph.look ? based(paragraph.look, from) : from;
    },
    cell: (id) => chainOf(cells, id).reduceRight<CellChanges>((all, { cell }) => overCell(all, cell), {}),
    run: (within, run) => (run.style === undefined && run.look === undefined ? within : runOf(run, within)),
  };
}

/** Remembers what was made of two objects, for as long as both are there. */
function kept<A extends object, B extends object, R>(make: (a: A, b: B) => R): (a: A, b: B) => R {
  const known = new WeakMap<A, WeakMap<B, R>>();
  return (a, b) => {
    const mine = known.get(a) ?? new WeakMap<B, R>();
    known.set(a, mine);
    const before = mine.get(b);
    if (before !== undefined) return before;
    const made = make(a, b);
    mine.set(b, made);
    return made;
  };
}

/** Facts that some changes say, beside those of a style: what makes the text depart from it. */
export const departures = (look: CharacterChanges | ParagraphChanges | undefined): readonly string[] =>
  Object.keys(look ?? {});

/** The part of a paragraph’s look that is about letters. */
export function charactersOf(look: ParagraphChanges): CharacterChanges {
  return Object.fromEntries(CHARACTER_KEYS.flatMap((key) => (look[key] === undefined ? [] : [[key, look[key]]])));
}

/** Styles in the order of the list that a style must not be based on, because they are based on it. */
export const dependants = (
  styles: readonly { readonly id: string; readonly basedOn: string | null }[],
  id: string,
): ReadonlySet<string> => {
  const known = new Map(styles.map((style) => [style.id, style]));
  return new Set(styles.filter((s) => chainOf(known, s.id).some((c) => c.id === id)).map((s) => s.id));
};
