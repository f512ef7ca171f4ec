import { z } from 'zod';
import { common, sha } from '../common';

/** A page of a PDF, kept as it is. */
export const Page = z.strictObject({
  kind: z.literal('page'),
  ...common,
  document: sha.describe('SHA-256 of the document’s bytes.'),
  page: z.number().int().min(1).max(10_000).default(1),
});
export type PageElement = z.infer<typeof Page>;
