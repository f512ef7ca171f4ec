import { z } from 'zod';
import { CharacterChanges, ParagraphChanges } from './look';
import { id } from './placement';

/** Words of one look. U+2028 ends a line without ending the paragraph. */
export const Run = z.strictObject({
  text: z.string().max(100_000),
  style: id.optional().describe('A character style.'),
  look: CharacterChanges.optional().describe('What differs from the style.'),
});
export type Run = z.infer<typeof Run>;

export const Paragraph = z.strictObject({
  style: id.optional().describe('A paragraph style; left out, the style and look of the text.'),
  look: ParagraphChanges.optional().describe('What differs from the style.'),
  runs: z.array(Run).max(10_000),
});
export type Paragraph = z.infer<typeof Paragraph>;

/** The words of a paragraph. */
export const wordsOf = (paragraph: Paragraph): string => paragraph.runs.map((run) => run.text).join('');

/** The words of paragraphs, parted by line feeds. */
export const plainText = (paragraphs: readonly Paragraph[]): string => paragraphs.map(wordsOf).join('\n');

/** Paragraphs of plain words, parted by line feeds. */
export const plainParagraphs = (text: string): Paragraph[] =>
  text.split('\n').map((words) => ({ runs: words === '' ? [] : [{ text: words }] }));

/** Ids of the styles that paragraphs and their runs name. */
export const stylesInParagraphs = (paragraphs: readonly Paragraph[]): readonly string[] =>
  paragraphs
    .flatMap((p) => [p.style, ...p.runs.map((r) => r.style)])
    .filter((id): id is string => typeof id === 'string');
