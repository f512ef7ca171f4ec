import 'server-only';
import { Problem } from './problem';

/** Route parameters as Next gives them. */
export interface Params<K extends string> {
  readonly params: Promise<Readonly<Record<K, string>>>;
}

export function wholeNumber(text: string | null, what: string): number {
  const value = Number(text);
  if (text !== null && Number.isInteger(value) && value >= 0) return value;
  throw new Problem(400, `${what} must be a whole number.`, 'Reload the page and try again.');
}
