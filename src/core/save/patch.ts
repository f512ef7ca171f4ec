import { create } from 'jsondiffpatch';
import { format } from 'jsondiffpatch/formatters/jsonpatch';
import { applyPatch, Pointer as Way } from 'rfc6902';
import { z } from 'zod';

/** An address within a document (RFC 6901). */
const Pointer = z
  .string()
  .max(2_000)
  .regex(/^(?:\/|$)/);

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
type PatchStep = z.infer<typeof Operation>;

const differ = create({
  // Elements, texts and pieces are known by their names, wherever they lie in a list. The package asks for null as
  // well.
  objectHash: (item: object | null, index) =>
    item !== null && 'id' in item && typeof item.id === 'string' ? item.id : `#${index === undefined ? '' : index}`,
});

/** What leads from one state to another; parts that both share are not looked into. */
export function patchBetween(before: unknown, after: unknown): Patch {
  const delta = differ.diff(before, after);
  return delta === undefined ? [] : Patch.parse(format(delta));
}

/**
 * The state that a patch leads to; what was given stays as it was, and parts that the patch does not reach are shared.
 * @returns undefined where the patch does not fit the document
 */
export function patched(document: unknown, patch: Patch): unknown {
  const root = { document };
  const own = new Set<unknown>([root]);
  for (const operation of patch) {
    const within: PatchStep = { ...operation, path: `/document${operation.path}` };
    if (within.op === 'move') within.from = `/document${within.from}`;
    const places = within.op === 'move' ? [within.from, within.path] : [within.path];
    if (!places.every((place) => makeOwn(root, place, own))) return undefined;
    const [failed] = applyPatch(root, [within]);
    if (failed !== null) return undefined;
  }
  return root.document;
}

/**
 * Copies what holds a place, and what holds that, each thing once, so that it can be changed where it stands.
 * @param own what was copied already
 * @returns false where the way leads over something that is not there
 */
function makeOwn(root: object, place: string, own: Set<unknown>): boolean {
  let holder: unknown = root;
  for (const key of Way.fromJSON(place).tokens.slice(1, -1)) {
    if (!isContainer(holder) || !Object.hasOwn(holder, key)) return false;
    const found: unknown = Reflect.get(holder, key);
    if (!isContainer(found)) return false;
    const copy = own.has(found) ? found : shallowCopy(found);
    own.add(copy);
    Reflect.set(holder, key, copy);
    holder = copy;
  }
  return true;
}

type Container = Record<string, unknown> | unknown[];

/** A list stays a list. */
const shallowCopy = (container: Container): Container => (Array.isArray(container) ? [...container] : { ...container });

const isContainer = (value: unknown): value is Container => typeof value === 'object' && value !== null;
