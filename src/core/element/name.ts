import type { Element } from './element';
import { elementKind } from './kinds';
import { cutTo } from './kinds/words';

/** What a designer would call it: its name, its first words, or its kind. */
export const nameOf = (element: Element): string => element.name || elementKind(element.kind).title(element);

/** What it is called within a sentence: a long name, as a file may have it, is cut. */
export function shortNameOf(element: Element): string {
  const name = nameOf(element);
  const short = cutTo(name, 48);
  return short === name ? name : `${short}…`;
}
