import { create } from 'jsondiffpatch';
import { format } from 'jsondiffpatch/formatters/jsonpatch';
import { applyPatch } from 'rfc6902';
import { z } from 'zod';

/** An address within a document (RFC 6901). */
const Pointer = z.string().max(2_000);

/** One change of a document (RFC 6902, section 4); what is tested or copied is of no use here. */
const Operation = z.discriminatedUnion('op', [
  z.object({ op: z.literal('add'), path: Pointer, value: z.unknown() }),
  z.object({ op: z.literal('remove'), path: Pointer }),
  z.object({ op: z.literal('replace'), path: Pointer, value: z.unknown() }),
  z.object({ op: z.literal('move'), from: Pointer, path: Pointer }),
]);

/** What was changed between two states of a job, as a JSON Patch (RFC 6902). */
export const Patch = z.array(Operation).max(20_000);
export type Patch = z.infer<typeof Patch>;

const differ = create({
  // Elements, texts and pieces are known by their names, wherever they lie in a list.
  objectHash: (item, index) =>
    'id' in item && typeof item.id === 'string' ? item.id : `#${index === undefined ? '' : index}`,
});

/** What leads from one state to another; parts that both share are not looked into. */
export function patchBetween(before: unknown, after: unknown): Patch {
  const delta = differ.diff(before, after);
  return delta === undefined ? [] : Patch.parse(format(delta));
}

/**
 * The state that a patch leads to; what was given stays as it was.
 * @returns undefined where the patch does not fit the document
 */
export function patched(document: unknown, patch: Patch): unknown {
  const copy: unknown = structuredClone(document);
  const failed = applyPatch(copy, patch).some((error) => error !== null);
  return failed ? undefined : copy;
}
