import { z } from 'zod';
import { common, sha } from '../common';

/** What of a page lies beyond its own trim. */
export const Beyond = z.enum(['nothing', 'own', 'mirrored', 'stretched']);
export type Beyond = z.infer<typeof Beyond>;

/** A page of a PDF, kept as it is. */
export const Page = z.strictObject({
  kind: z.literal('page'),
  ...common,
  document: sha.describe('SHA-256 of the document’s bytes.'),
  page: z.number().int().min(1).max(10_000).default(1),
  beyond: Beyond.default('nothing').describe(
    'What lies in the bleed where an edge is on the trim: nothing, what the file has there, the page’s edge mirrored ' +
      'outwards, or the whole page drawn that much larger.',
  ),
});
export type PageElement = z.infer<typeof Page>;
