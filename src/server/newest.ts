import 'server-only';
import { LRUCache } from 'lru-cache';
import type { Job } from '@/core/job';
import { jobRow, packedRevision } from './jobs';
import { keptJob } from './read-state';
import { store, type Store } from './store/database';

/**
 * Jobs that are worked on at the same time, and what their newest states may weigh together as they are kept, bytes.
 */
const MOST = { max: 64, maxSize: 4_000_000 };

const states = new WeakMap<Store, LRUCache<string, Job>>();

async function recent(): Promise<LRUCache<string, Job>> {
  const opened = await store();
  const known = states.get(opened) ?? new LRUCache<string, Job>(MOST);
  states.set(opened, known);
  return known;
}

const keyOf = (id: string, number: number): string => `${number} ${id}`;

/**
 * A state that was just kept is at hand for the next save, which mostly goes on from it. A kept state never changes.
 */
export async function keepAtHand(id: string, number: number, job: Job, packed: Uint8Array): Promise<void> {
  (await recent()).set(keyOf(id, number), job, { size: packed.length });
}

/** A saved state, from memory where it was kept a short while ago. @throws Problem as `revision` does */
export async function stateAt(id: string, number: number): Promise<Job> {
  const known = (await recent()).get(keyOf(id, number));
  if (known) return known;
  await jobRow(id);
  const packed = await packedRevision(id, number);
  const job = await keptJob(packed);
  await keepAtHand(id, number, job, packed);
  return job;
}
