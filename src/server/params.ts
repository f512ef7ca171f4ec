import 'server-only';
import { readBeyond } from '@/core/drawing';
import type { EdgeLengths } from '@/core/layout';
import { missing, unclear } from './problems';

/** Route parameters as Next gives them. */
export interface Params<K extends string> {
  readonly params: Promise<Readonly<Record<K, string>>>;
}

/** What each part of an address may be; names of records are free text, but for what no name has. */
const PARTS: Readonly<Record<string, RegExp>> = {
  id: /^[\w-]{1,80}$/,
  sha: /^[0-9a-f]{64}$/,
  number: /^\d{1,9}$/,
  page: /^\d{1,9}$/,
  conflict: /^\d{1,9}$/,
  name: /^[^\u0000-\u001f\u007f]{1,255}$/,
};

/** Refuses an address with a part that can name nothing here, before anything is looked up by it. @throws Problem */
export async function checkAddress(context: unknown): Promise<void> {
  const { params } = context as { readonly params?: Promise<Readonly<Record<string, string>>> };
  for (const [key, text] of Object.entries((await params) ?? {}))
    if (!PARTS[key]?.test(text) || /^\.+$/.test(text)) throw missing.address();
}

export function wholeNumber(text: string | null, what: string): number {
  const value = Number(text);
  if (text !== null && Number.isInteger(value) && value >= 0) return value;
  throw unclear.notWhole(what);
}

/** What is wished of a page beyond its trim, mm. */
export function beyondOf(text: string | null): EdgeLengths | undefined {
  if (text === null) return undefined;
  const beyond = readBeyond(text);
  if (!beyond) throw unclear.beyond();
  return beyond;
}
