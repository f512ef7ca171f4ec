import type { Element, ElementKind, ElementOf } from '../../element';
import type { ComposedKindOf } from './define';
import { code } from './code';
import { line } from './line';
import { page } from './page';
import { picture } from './picture';
import { printable } from './printable';
import { shape } from './shape';
import { table } from './table';
import { text } from './text';
import { vector } from './vector';

const KINDS: { readonly [K in ElementKind]: ComposedKindOf<ElementOf<K>> } = {
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

/** How a kind of element is drawn: it is given elements of that kind only. */
export const composedKind = (kind: ElementKind): ComposedKindOf<Element> => KINDS[kind] as ComposedKindOf<Element>;

export type { Dependency } from './define';
