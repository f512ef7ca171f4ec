import { plainText, readable, type Element, type FormKind } from '../element';
import { printableOf } from '../printable';

export const FORM_WORDS: Readonly<Record<FormKind, string>> = {
  rectangle: 'Box',
  ellipse: 'Oval',
  polygon: 'Polygon',
  star: 'Star',
  arc: 'Arc',
  arrow: 'Arrow',
  ribbon: 'Ribbon',
  bubble: 'Speech bubble',
  path: 'Path',
};

/** What a designer would call it: its name, its first words, or its kind. */
export function nameOf(element: Element): string {
  if (element.name) return element.name;
  switch (element.kind) {
    case 'text': {
      const words = readable(plainText(element.paragraphs)).trim().split(/\s+/).slice(0, 4).join(' ');
      return words ? cutTo(words, 32) : 'Empty text';
    }
    case 'shape':
      return FORM_WORDS[element.shape.form];
    case 'line':
      return 'Line';
    case 'picture':
      return 'Picture';
    case 'vector':
      return 'Drawing';
    case 'table':
      return 'Table';
    case 'page':
      return 'PDF page';
    case 'printable':
      return printableOf(element.content.of).presets[0]?.title ?? 'Printable';
  }
}

/** What it is called within a sentence: a long name, as a file may have it, is cut. */
export function shortNameOf(element: Element): string {
  const name = nameOf(element);
  const short = cutTo(name, 48);
  return short === name ? name : `${short}…`;
}

/** The first characters; none is cut in two. */
const cutTo = (text: string, most: number): string => Array.from(text).slice(0, most).join('');
