import type { ChangePaint } from '../paint';
import type { StyleBook } from '../type-style';
import type { TextElement } from './text/schema';

export type CellBook = Pick<StyleBook, 'cell'>;

/** What the program asks of an element beside what all of them have, whichever kind it is. */
export interface ElementKindOf<E> {
  /** What one is called that has no name of its own. */
  readonly title: (element: E) => string;
  /**
   * How its content takes a box: set anew in whatever width it is given, in its own proportion, or simply filling it.
   */
  readonly content: 'set' | 'in proportion' | 'filling';
  /** Whether edges that lie on the trim go on into the bleed. */
  readonly bleeds: (element: E) => boolean;
  /** SHA-256 of the file that it shows. */
  readonly file: (element: E) => string | undefined;
  /** Its texts in reading order. */
  readonly texts: (element: E, book: CellBook) => readonly TextElement[];
  /** With each of its texts changed; the same object where none was. */
  readonly mapTexts: (element: E, book: CellBook, change: (text: TextElement) => TextElement) => E;
  /** Ids of the styles that it names: of type, and of cells. */
  readonly stylesNamed: (element: E) => readonly string[];
  /** With each of its own paints replaced; those of its effects are no concern of its kind. */
  readonly repaint: (element: E, book: StyleBook, change: ChangePaint) => E;
  /** On a left-hand page as it stood on a right-hand one. Pictures and letters are not turned over. */
  readonly onLeftPage: (element: E) => E;
  /** Mirrored in itself, as far as its kind can be. */
  readonly flipped: (element: E) => E;
  /**
   * The words, the picture or the decisions that changed, as they follow a name: “says …, not …”.
   * @param fileName what a file is called
   * @returns undefined where something else changed, or nothing that can be said
   */
  readonly difference: (was: E, is: E, fileName: (sha: string | null) => string) => string | undefined;
}

export const defineElementKind = <E>(kind: ElementKindOf<E>): ElementKindOf<E> => kind;

/** Members of kinds that have no words. */
export const wordless = {
  texts: () => [],
  mapTexts: <E>(element: E): E => element,
  stylesNamed: () => [],
};

/** A change that leaves it as it is. */
export const asItIs = <E>(element: E): E => element;
export const none = (): undefined => undefined;
