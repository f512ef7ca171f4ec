import { formKind, plainText, readable, type Element } from '../element';
import { printableOf } from '../printable';

/** What a designer would call it: its name, its first words, or its kind. */
export function nameOf(element: Element): string {
  if (element.name) return element.name;
  switch (element.kind) {
    case 'text': {
      const words = readable(plainText(element.paragraphs)).trim().split(/\s+/).slice(0, 4).join(' ');
      return words ? cutTo(words, 32) : 'Empty text';
    }
    case 'shape':
      return formKind(element.shape.form).label;
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
