import type { Element, ElementKind, ElementOf } from '../element';
import type { ElementKindOf } from './define';
import { code } from './code';
import { line } from './line';
import { page } from './page';
import { picture } from './picture';
import { printable } from './printable';
import { shape } from './shape';
import { table } from './table';
import { text } from './text';
import { vector } from './vector';

const KINDS: { readonly [K in ElementKind]: ElementKindOf<ElementOf<K>> } = {
  shape,
  line,
  picture,
  vector,
  page,
  text,
  table,
  printable,
  code,
};

/** The description of a kind of element: it is given elements of that kind only. */
export const elementKind = (kind: ElementKind): ElementKindOf<Element> => KINDS[kind] as ElementKindOf<Element>;
