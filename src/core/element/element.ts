import { z } from 'zod';
import { Code } from './kinds/code/schema';
import { Line } from './kinds/line/schema';
import { Page } from './kinds/page/schema';
import { Picture } from './kinds/picture/schema';
import { PrintableKind } from './kinds/printable/schema';
import { Shape } from './kinds/shape/schema';
import { Table } from './kinds/table/schema';
import { Text } from './kinds/text/schema';
import { Vector } from './kinds/vector/schema';

export const Element = z.discriminatedUnion('kind', [
  Shape,
  Line,
  Picture,
  Vector,
  Page,
  Text,
  Table,
  PrintableKind,
  Code,
]);
export type Element = z.infer<typeof Element>;
/** An element as it may be written: what has a usual value may be left out. */
export type ElementInput = z.input<typeof Element>;
export type ElementKind = Element['kind'];
export type ElementOf<K extends ElementKind> = Extract<Element, { kind: K }>;
