import type { CharacterChanges, CharacterLook } from './look';
import type { Paragraph, Run } from './paragraph';
import type { StyleBook, TextBase } from './type-style';

/**
 * Changes a text wherever it looks a certain way: of itself, of a paragraph or of some words, whether it was said there
 * or comes from a style. The styles stay as they are.
 * @param change what has to be different of a look; nothing where it may stay
 */
export function mapLooks<T extends TextBase & { readonly paragraphs: readonly Paragraph[] }>(
  text: T,
  book: StyleBook,
  change: (look: CharacterLook) => CharacterChanges,
): T {
  /** The thing itself where nothing changes, so that what follows from it need not be made anew. */
  const merged = <L extends { readonly look?: object | undefined }>(thing: L, changes: CharacterChanges): L =>
    Object.keys(changes).length > 0 ? { ...thing, look: { ...thing.look, ...changes } } : thing;
  const paragraphs = text.paragraphs.map((p): Paragraph => {
    const within = book.paragraph(text, p);
    const says = p.style !== undefined || p.look !== undefined;
    const runs = p.runs.map((run): Run => {
      const own = run.style !== undefined || run.look !== undefined;
      return own ? merged(run, change(book.run(within, run))) : run;
    });
    const own = says ? merged(p, change(within)) : p;
    return runs.every((run, i) => run === p.runs[i]) ? own : { ...own, runs };
  });
  const own = merged(text, change(book.base(text)));
  return paragraphs.every((p, i) => p === text.paragraphs[i]) ? own : { ...own, paragraphs };
}
