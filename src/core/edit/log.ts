import { LogEntry, type Job, type LogKind } from '../job';
import { freshId } from './new-element';

/** Writes down what happened. Empty words write nothing. */
export function withEntry(job: Job, kind: LogKind, text: string, at: Date): Job {
  if (text.trim() === '') return job;
  const entry = LogEntry.parse({ id: freshId(), at: at.toISOString(), kind, text: text.trim().slice(0, 2000) });
  return { ...job, log: [...(job.log ?? []), entry] };
}

/** Takes an entry out. */
export function withoutEntry(job: Job, id: string): Job {
  const { log = [], ...rest } = job;
  const left = log.filter((entry) => entry.id !== id);
  if (left.length === log.length) return job;
  return left.length > 0 ? { ...rest, log: left } : rest;
}
