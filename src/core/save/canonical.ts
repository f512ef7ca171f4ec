/**
 * Texts of the parts of a job that are known by a name: a change makes few of them anew, and a job is never changed in
 * place. What holds all the others is not among them: it is another with every change, and undo keeps them all.
 */
const known = new WeakMap<object, string>();

/** Members of a job and of a piece, by which they are told. */
const HOLDERS = ['pieces', 'surfaces'];

/**
 * A document as canonical JSON (RFC 8785): keys in the order of their UTF-16 code units, numbers and strings as
 * ECMAScript writes them, nothing between. What JSON cannot say is written as `JSON.stringify` does, half a surrogate
 * pair as its escape.
 */
export function canonical(value: unknown): string {
  if (value === undefined) return 'null';
  if (typeof value !== 'object' || value === null) return JSON.stringify(value);
  const before = known.get(value);
  if (before !== undefined) return before;
  if (Array.isArray(value)) return `[${value.map(canonical).join(',')}]`;
  const members = Object.entries(value)
    .filter(([, member]) => member !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([key, member]) => `${JSON.stringify(key)}:${canonical(member)}`);
  const text = `{${members.join(',')}}`;
  if ('id' in value && !HOLDERS.some((key) => key in value)) known.set(value, text);
  return text;
}
