import { z } from 'zod';

/** Decisions by their names, as they are typed in a field. */
export const Typed = z
  .record(z.string(), z.union([z.string(), z.number()]).transform(String))
  .default({})
  .describe('Decisions by their names, as they are typed in a field: `A5`, `3mm`, `2`.');
