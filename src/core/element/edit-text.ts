import type { CharacterChanges, ParagraphChanges, ParagraphLook } from './look';
import { CHARACTER_KEYS } from './look';
import { wordsOf, type Paragraph, type Run } from './paragraph';
import type { StyleBook, TextBase } from './type-style';

/** A stretch of a text: UTF-16 indices into its words, paragraphs parted by one line feed each. */
export type TextRange = readonly [from: number, to: number];

/** What is said of letters: a character style (null takes it away), and what differs from it. */
export interface CharacterWish {
  readonly style?: string | null;
  readonly look?: CharacterChanges;
}

/** What is said of paragraphs: a paragraph style (null: that of the text), and what differs from it. */
export interface ParagraphWish {
  readonly style?: string | null;
  readonly look?: ParagraphChanges;
}

const sameRun = (a: Run, b: Run): boolean =>
  a.style === b.style && JSON.stringify(a.look ?? {}) === JSON.stringify(b.look ?? {});

/** Neighbours that look alike as one, empty ones gone. */
function joined(runs: readonly Run[]): Run[] {
  const out: Run[] = [];
  for (const run of runs) {
    const last = out.at(-1);
    if (run.text === '') continue;
    if (last && sameRun(last, run)) out[out.length - 1] = { ...last, text: last.text + run.text };
    else out.push(run);
  }
  return out;
}

/** Without what says nothing. */
function tidy<T extends { style?: string | undefined; look?: object | undefined }>(from: T): T {
  const { style, look, ...rest } = from;
  return {
    ...rest,
    ...(style !== undefined && { style }),
    ...(look && Object.keys(look).length > 0 && { look }),
  } as T;
}

/** The runs of a paragraph between two of its indices. */
function sliced(runs: readonly Run[], from: number, to: number): Run[] {
  const out: Run[] = [];
  let at = 0;
  for (const run of runs) {
    const [a, b] = [Math.max(from - at, 0), Math.min(to - at, run.text.length)];
    if (b > a) out.push(a === 0 && b === run.text.length ? run : { ...run, text: run.text.slice(a, b) });
    at += run.text.length;
  }
  return out;
}

/** Where each paragraph starts. */
export function paragraphStarts(paragraphs: readonly Paragraph[]): readonly number[] {
  let at = 0;
  return paragraphs.map((p) => {
    const start = at;
    at += wordsOf(p).length + 1;
    return start;
  });
}

/** Changes the paragraphs that a range touches; the others stay the same objects. */
function touching(
  paragraphs: readonly Paragraph[],
  [from, to]: TextRange,
  change: (paragraph: Paragraph, from: number, to: number) => Paragraph,
): Paragraph[] {
  const starts = paragraphStarts(paragraphs);
  return paragraphs.map((p, i) => {
    const start = starts[i] ?? 0;
    const length = wordsOf(p).length;
    if (to < start || from > start + length) return p;
    return change(p, Math.max(0, from - start), Math.min(length, to - start));
  });
}

const said = <L extends object>(look: L | undefined, changes: L | undefined): L => ({ ...look, ...changes }) as L;

/** The words of a range in another look. Nothing changes where the range is empty. */
export const withCharacters = (paragraphs: readonly Paragraph[], range: TextRange, wish: CharacterWish): Paragraph[] =>
  touching(paragraphs, range, (p, from, to) => {
    if (to <= from) return p;
    const changed = sliced(p.runs, from, to).map((run): Run => {
      const style = wish.style === undefined ? run.style : (wish.style ?? undefined);
      // A style given anew stands by itself: what was said before it would hide it.
      const look = said(wish.style === undefined ? run.look : undefined, wish.look);
      return tidy({ ...run, style, look });
    });
    const length = wordsOf(p).length;
    return { ...p, runs: joined([...sliced(p.runs, 0, from), ...changed, ...sliced(p.runs, to, length)]) };
  });

/** The paragraphs that a range touches in another look. */
export const withParagraphs = (paragraphs: readonly Paragraph[], range: TextRange, wish: ParagraphWish): Paragraph[] =>
  touching(paragraphs, range, (p) => {
    const style = wish.style === undefined ? p.style : (wish.style ?? undefined);
    const look = said(wish.style === undefined ? p.look : undefined, wish.look);
    return tidy({ ...p, style, look });
  });

/** Other words in place of a range, in the look of the letter before it; line feeds begin paragraphs. */
export function withWords(paragraphs: readonly Paragraph[], [from, to]: TextRange, words: string): Paragraph[] {
  const starts = paragraphStarts(paragraphs);
  const holding = (index: number) => {
    let found = 0;
    starts.forEach((start, i) => {
      if (start <= index) found = i;
    });
    return found;
  };
  const [first, last] = [holding(from), holding(to)];
  const [head, tail] = [paragraphs[first], paragraphs[last]];
  if (!head || !tail) return [...paragraphs];
  const before = sliced(head.runs, 0, from - (starts[first] ?? 0));
  const after = sliced(tail.runs, to - (starts[last] ?? 0), wordsOf(tail).length);
  const like = before.at(-1) ?? after[0];
  const parts = words.split('\n');
  const made = parts.map((text, i): Paragraph => ({
    ...head,
    runs: joined([
      ...(i === 0 ? before : []),
      { ...(like && tidy({ style: like.style, look: like.look })), text },
      ...(i === parts.length - 1 ? after : []),
    ]),
  }));
  return [...paragraphs.slice(0, first), ...made, ...paragraphs.slice(last + 1)];
}

/**
 * The text with something said of all of it: what its paragraphs and words said of the same gives way.
 */
export function withTextLook<T extends TextBase & { readonly paragraphs: readonly Paragraph[] }>(
  text: T,
  look: ParagraphChanges,
): T {
  const keys = Object.keys(look);
  const without = <L extends object>(from: L | undefined): L | undefined =>
    from && (Object.fromEntries(Object.entries(from).filter(([key]) => !keys.includes(key))) as L);
  return {
    ...text,
    look: said(text.look, look),
    paragraphs: text.paragraphs.map((p): Paragraph => {
      // A paragraph with a style of its own says it itself, or the style would win.
      const own = p.style === undefined ? without(p.look) : said(without(p.look), look);
      return tidy({ ...p, look: own, runs: joined(p.runs.map((r) => tidy({ ...r, look: without(r.look) }))) });
    }),
  };
}

/** The whole text in a style: what was said of it and of its paragraphs gives way; words keep what they say. */
export const withTextStyle = <T extends TextBase & { readonly paragraphs: readonly Paragraph[] }>(
  text: T,
  style: string | null,
): T => ({
  ...text,
  style,
  look: {},
  paragraphs: text.paragraphs.map(({ runs }): Paragraph => ({ runs })),
});

/** The look at a range: of its first letter, and which facts differ within it. */
export interface LookThere {
  readonly look: ParagraphLook;
  /** Names of facts that are not the same all through. */
  readonly mixed: ReadonlySet<string>;
  /** The paragraph style and the character style there; undefined where they differ. */
  readonly paragraphStyle: string | null | undefined;
  readonly characterStyle: string | null | undefined;
  /** Facts said beside the styles. */
  readonly departs: ReadonlySet<string>;
}

/** What a text looks like at a range, or all of it. */
export function lookThere(
  text: TextBase & { readonly paragraphs: readonly Paragraph[] },
  book: StyleBook,
  range?: TextRange,
): LookThere {
  const looks: ParagraphLook[] = [];
  const departs = new Set<string>();
  const paragraphStyles = new Set<string | null>();
  const characterStyles = new Set<string | null>();
  const starts = paragraphStarts(text.paragraphs);
  text.paragraphs.forEach((p, i) => {
    const start = starts[i] ?? 0;
    const length = wordsOf(p).length;
    if (range && (range[1] < start || range[0] > start + length)) return;
    const within = book.paragraph(text, p);
    paragraphStyles.add(p.style ?? text.style);
    for (const key of Object.keys(p.look ?? {})) departs.add(key);
    if (p.style === undefined) for (const key of Object.keys(text.look)) departs.add(key);
    const [from, to] = range ? [Math.max(0, range[0] - start), Math.min(length, range[1] - start)] : [0, length];
    const runs = to > from ? sliced(p.runs, from, to) : sliced(p.runs, Math.max(0, from - 1), Math.max(1, from));
    if (runs.length === 0) looks.push(within);
    for (const run of runs) {
      looks.push({ ...within, ...book.run(within, run) });
      characterStyles.add(run.style ?? null);
      for (const key of Object.keys(run.look ?? {})) departs.add(key);
    }
  });
  const look = looks[0] ?? book.base(text);
  const facts = Object.keys(look) as (keyof ParagraphLook)[];
  const differs = (key: keyof ParagraphLook) =>
    looks.some((other) => other[key] !== look[key] && JSON.stringify(other[key]) !== JSON.stringify(look[key]));
  const only = (set: ReadonlySet<string | null>) => (set.size > 1 ? undefined : ([...set][0] ?? null));
  return {
    look,
    mixed: new Set(facts.filter(differs)),
    paragraphStyle: only(paragraphStyles),
    characterStyle: only(characterStyles),
    departs,
  };
}

/** Whether a fact is one of letters, so that some words may have it by themselves. */
export const isCharacterFact = (key: string): boolean => (CHARACTER_KEYS as readonly string[]).includes(key);
