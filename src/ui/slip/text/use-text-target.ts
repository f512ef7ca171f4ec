import {
  elementsOf,
  isCharacterFact,
  lookThere,
  plainText,
  styleBook,
  withCharacters,
  withParagraphs,
  withTextLook,
  withTextStyle,
  withWords,
  type CharacterChanges,
  type ElementOf,
  type LookThere,
  type ParagraphChanges,
  type StyleBook,
  type TextRange,
} from '@/core/job';
import { useMemo } from 'react';
import { useDesk, useRange } from '../../open-job/use-desk';
import { useJob } from '../../open-job/context';
import { changeSide, holderOf, withTexts } from '@/core/edit';

/** What the fields of type speak of: what is selected while it is typed, or else the whole text. */
export interface TextTarget {
  readonly there: LookThere;
  readonly book: StyleBook;
  /** Whether only a part of the text is meant. */
  readonly isPart: boolean;
  readonly set: (label: string, look: ParagraphChanges) => void;
  readonly setParagraphStyle: (style: string | null) => void;
  readonly setCharacterStyle: (style: string | null) => void;
  /** Puts words where the caret is, in place of what is selected; at the end while nothing is typed. */
  readonly putIn: (label: string, words: string) => void;
}

/** The word around a caret; the caret itself where there is none. */
function wordAt(text: string, at: number): TextRange {
  const before =
    text
      .slice(0, at)
      .split(/[^\p{L}\p{N}\p{M}’']/u)
      .at(-1)?.length ?? 0;
  const after = /^[\p{L}\p{N}\p{M}’']*/u.exec(text.slice(at))?.[0].length ?? 0;
  return [at - before, at + after];
}

/** The first frame of the text that an element shows. */
export function useHead(element: ElementOf<'text'>): ElementOf<'text'> {
  const { story, piece } = useDesk();
  const id = story(element.id)?.chain[0] ?? element.id;
  const head = id === element.id ? element : elementsOf(piece).find((e) => e.element.id === id)?.element;
  return head?.kind === 'text' ? head : element;
}

/** @param among ids of the texts that are changed together, where it is not typed: all chosen cells of a table */
export function useTextTarget(element: ElementOf<'text'>, among?: readonly string[]): TextTarget {
  const { job, piece } = useDesk();
  const changeJob = useJob((s) => s.change);
  const typing = useJob((s) => s.typing);
  const range = useRange();
  const head = useHead(element);
  const { styles, cellStyles } = job;
  const book = useMemo(() => styleBook({ styles, cellStyles }), [styles, cellStyles]);
  const isPart = typing !== undefined && range !== undefined;
  const chosen: TextRange | undefined = isPart ? [Math.min(...range), Math.max(...range)] : undefined;
  // eslint-disable-next-line react-hooks/exhaustive-deps -- the two ends are the range
  const there = useMemo(() => lookThere(head, book, chosen), [head, book, chosen?.[0], chosen?.[1]]);
  const change = (label: string, make: (text: ElementOf<'text'>) => ElementOf<'text'>) => {
    const held = elementsOf(piece).find((e) => e.element.id === holderOf(head.id));
    if (!held) return;
    const texts = isPart ? [head.id] : (among ?? [head.id]);
    changeJob(label, (now) =>
      changeSide(now, held.side, (list) =>
        list.map((e) => (e.id === held.element.id ? withTexts(e, texts, book, make) : e)),
      ),
    );
  };
  const words = (): TextRange => {
    if (!chosen) return [0, 0];
    return chosen[0] === chosen[1] ? wordAt(plainText(head.paragraphs), chosen[0]) : chosen;
  };
  return {
    there,
    book,
    isPart,
    set: (label, look) =>
      change(label, (text) => {
        if (!chosen) return withTextLook(text, look);
        const [letters, rest] = parted(look);
        const first =
          Object.keys(letters).length > 0
            ? withCharacters(text.paragraphs, words(), { look: letters })
            : text.paragraphs;
        return {
          ...text,
          paragraphs: Object.keys(rest).length > 0 ? withParagraphs(first, chosen, { look: rest }) : first,
        };
      }),
    setParagraphStyle: (style) =>
      change('Paragraph style', (text) =>
        chosen
          ? { ...text, paragraphs: withParagraphs(text.paragraphs, chosen, { style }) }
          : withTextStyle(text, style),
      ),
    putIn: (label, put) =>
      change(label, (text) => {
        const end = plainText(text.paragraphs).length;
        return { ...text, paragraphs: withWords(text.paragraphs, chosen ?? [end, end], put) };
      }),
    setCharacterStyle: (style) =>
      change('Character style', (text) => ({
        ...text,
        paragraphs: withCharacters(text.paragraphs, chosen ? words() : [0, Infinity], { style }),
      })),
  };
}

/** What is said of letters, and what of the paragraph. */
function parted(look: ParagraphChanges): readonly [CharacterChanges, ParagraphChanges] {
  const all = Object.entries(look);
  return [
    Object.fromEntries(all.filter(([key]) => isCharacterFact(key))),
    Object.fromEntries(all.filter(([key]) => !isCharacterFact(key))),
  ];
}
