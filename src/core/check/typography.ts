import { mapTexts, plainText, textsIn, withWords } from '../element';
import { careFor, type Care } from '../type';
import { framed, replace, type Report, type Rule } from './rule';

const WHAT: Readonly<Record<Care['what'], string>> = {
  quotes: 'typewriter quotation marks',
  apostrophe: 'typewriter apostrophes',
  dash: 'hyphens that should be dashes',
  spaces: 'spaces too many or missing',
  ellipsis: 'three points for an ellipsis',
  ordinal: 'ordinals written wrongly',
  sign: 'letters in place of signs',
};

/** Most places whose kinds are named in one line. */
const SHOWN = 24;

interface Found {
  readonly words: string;
  readonly found: readonly Care[];
}

/** The first fault among its neighbours. */
function exampleOf(text: Found | undefined): string {
  const [first] = text?.found ?? [];
  return text && first ? text.words.slice(Math.max(0, first.at - 8), first.at + first.length + 8).trim() : '';
}

/** Words are set with the signs of their language, not with those of a typewriter. */
export const typographyRule: Rule = {
  id: 'typography',
  title: 'Signs of a typewriter',
  why: 'Straight quotes, hyphens for dashes and double spaces look like a draft on a finished piece.',
  check: (subject) =>
    framed(subject).flatMap(({ element, frame }): readonly Report[] => {
      const { book, job } = subject;
      const texts = textsIn(element, book).map(({ language, paragraphs }) => {
        const words = plainText(paragraphs);
        return { words, found: careFor(words, language ?? job.language) };
      });
      const found = texts.flatMap((text) => text.found);
      if (found.length === 0) return [];
      const kinds = [...new Set(found.slice(0, SHOWN).map((c) => WHAT[c.what]))];
      // From the last to the first, so that places before stay true.
      const mended = mapTexts(element, book, (text) => {
        const faults = careFor(plainText(text.paragraphs), text.language ?? job.language);
        if (faults.length === 0) return text;
        const paragraphs = faults.reduceRight(
          (all, { at, length, right }) => withWords(all, [at, at + length], right),
          text.paragraphs,
        );
        return { ...text, paragraphs };
      });
      const example = exampleOf(texts.find((text) => text.found.length > 0));
      return [
        {
          severity: 'note',
          element: element.id,
          where: frame.rect,
          message:
            `${found.length === 1 ? 'One place' : `${found.length} places`} with ${kinds.join(', ')}: ` +
            `“${example}”.`,
          fixes: [replace(`Set ${found.length === 1 ? 'it' : 'all'} properly`, mended)],
        },
      ];
    }),
};
