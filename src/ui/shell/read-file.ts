import { wrap, type Remote } from 'comlink';
import type { Readers } from '@/workers/read.worker';
import { beginGoing } from './going';

/** Longest that reading a file in the page may take, ms. */
const LONGEST = 20_000;

interface Refused {
  readonly ok: false;
  readonly problem: string;
}

/**
 * How a file is read: its largest size in MB, what to do when it is larger, and the reader with what it needs to know.
 */
interface Way<T> {
  readonly mostMb: number;
  readonly larger: string;
  readonly read: (readers: Remote<Readers>, text: string) => Promise<T>;
}

/** Reads a file of words in a thread of its own, which is ended when it takes too long or the user stops it. */
export async function readFile<T>(file: File, { mostMb, larger, read }: Way<T>): Promise<T | Refused> {
  const refuse = (problem: string): Refused => ({ ok: false, problem });
  if (file.size > mostMb * 1024 * 1024) return refuse(`It is larger than ${mostMb} MB. ${larger}`);
  const thread = new Worker(new URL('../../workers/read.worker.ts', import.meta.url), { type: 'module' });
  const { signal, end } = beginGoing(file, 'read');
  const limit = AbortSignal.timeout(LONGEST);
  try {
    const given = new Promise<Refused>((resolve) => {
      signal.addEventListener('abort', () => resolve(refuse('It was stopped. Nothing was changed.')));
      limit.addEventListener('abort', () =>
        resolve(refuse(`Reading it took longer than ${LONGEST / 1000} seconds and was stopped. Save it simpler.`)),
      );
      thread.addEventListener('error', () =>
        resolve(refuse('It could not be read: it needs more memory than there is. Save it simpler.')),
      );
    });
    return await Promise.race([read(wrap<Readers>(thread), await file.text()), given]);
  } finally {
    thread.terminate();
    end();
  }
}
