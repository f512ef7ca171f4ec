import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { canonical } from './canonical';

const known = new WeakMap<object, string>();

/** SHA-256 of a document in canonical JSON (RFC 8785): the same for the same content, however its keys are ordered. */
export function contentHash(document: object): string {
  const before = known.get(document);
  if (before !== undefined) return before;
  const hash = bytesToHex(sha256(new TextEncoder().encode(canonical(document))));
  known.set(document, hash);
  return hash;
}

/** Says the content of a document that was worked out elsewhere. */
export function knownContent(document: object, hash: string): void {
  known.set(document, hash);
}
