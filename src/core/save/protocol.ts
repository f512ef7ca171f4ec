import { z } from 'zod';
import { Patch } from './patch';

export const REVISION_KINDS = ['edit', 'amend', 'undo', 'redo'] as const;
export type RevisionKind = (typeof REVISION_KINDS)[number];

const Hash = z.string().regex(/^[0-9a-f]{64}$/);

/** Longest that is said of a step, characters. */
export const LONGEST_LABEL = 200;

/** Most states that are sent at once. */
export const BATCH = 100;

/**
 * A state on its way to be kept: what was done, by a name of its own, so that one that arrives twice is kept once. It
 * says what changed since the state before, or all of it where the state before is not known to be the same on both
 * sides.
 */
export const SentStep = z.object({
  id: z.string().regex(/^[\w-]{8,64}$/),
  kind: z.enum(REVISION_KINDS),
  label: z.string().max(LONGEST_LABEL),
  change: z.discriminatedUnion('as', [
    z.object({ as: z.literal('patch'), patch: Patch, hash: Hash }),
    z.object({ as: z.literal('whole'), document: z.unknown() }),
  ]),
});
export type SentStep = z.infer<typeof SentStep>;

/** States to be kept on top of a revision. */
export const SaveRequest = z.object({
  base: z.number().int().min(1),
  /** Content of that revision, as the sender knows it. */
  hash: Hash,
  steps: z.array(SentStep).min(1).max(BATCH),
});
export type SaveRequest = z.infer<typeof SaveRequest>;

/** What was kept: the number of the newest of the states, and its content. */
export const SaveAnswer = z.object({ head: z.number().int(), hash: Hash });
export type SaveAnswer = z.infer<typeof SaveAnswer>;
