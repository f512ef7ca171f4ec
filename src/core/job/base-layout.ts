import { z } from 'zod';
import { Element, id } from '../element';

/** An item of a layout as a page shows it: by the id of the item and of the page. */
const itemId = z.string().min(1).max(400);

/** What a page, or a layout based on another, has from a base layout, and where it departs from it. */
const inherits = {
  base: id.nullable().default(null).describe('The base layout it follows.'),
  without: z.array(itemId).max(10_000).default([]).describe('Items of the layout that are left out here.'),
  facts: z
    .record(itemId, z.record(z.string().max(60), z.unknown()))
    .default({})
    .describe('By item: what differs from the layout here; all else follows it.'),
};

export const PageLayout = z.strictObject({
  key: id.describe('Stays with the page when it is moved.'),
  ...inherits,
});
export type PageLayout = z.infer<typeof PageLayout>;

/** What recurs on pages: they show it, and follow what is changed of it. */
export const BaseLayout = z.strictObject({
  id,
  name: z.string().min(1).max(60),
  ...inherits,
  mirrored: z.boolean().default(true).describe('On left-hand pages left and right change places.'),
  elements: z.array(Element).max(10_000).default([]),
});
export type BaseLayout = z.infer<typeof BaseLayout>;

/** Numbers and running heads of pages. */
export const Numbering = z.strictObject({
  first: z.number().int().min(0).max(100_000).default(1).describe('What the first page is numbered.'),
  heads: id.nullable().default(null).describe('The paragraph style whose words running heads repeat.'),
});
export type Numbering = z.infer<typeof Numbering>;
