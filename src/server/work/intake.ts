import { readFile } from 'node:fs/promises';
import type { House } from '@/core/shop';
import { NotReadable, replyTo, type Reply } from '@/intake';

interface ToAnswer {
  readonly path: string;
  readonly house: House;
}

/** What a house answers to a file, or why there is nothing to look at. */
export type Answered = { readonly ok: true; readonly reply: Reply } | { readonly ok: false; readonly problem: string };

/** Has a file looked at by the print house at the other end. */
export async function answerFile({ path, house }: ToAnswer): Promise<Answered> {
  try {
    return { ok: true, reply: await replyTo(await readFile(path), house) };
  } catch (error) {
    if (error instanceof NotReadable) return { ok: false, problem: error.message };
    throw error;
  }
}
