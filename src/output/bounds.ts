import { Worker } from 'node:worker_threads';
import { shipped } from './home';

/** What a process may use. */
export interface Bounds {
  /** Computing time of one piece of work, seconds of all its threads together. */
  readonly seconds: number;
  /** Memory of the process, megabytes that are really in use. */
  readonly megabytes: number;
}

/**
 * How a process ends that used more than it may: signals that nobody else sends, so that who waits can tell them apart.
 */
export const ENDED_BY = { seconds: 'SIGVTALRM', megabytes: 'SIGUSR2' } as const;

/** What the thread that watches is given. */
export interface Watch {
  readonly parent: number;
  /** One number: the computing time of the process when its work began, microseconds; 0 while it has none. */
  readonly began: Float64Array;
  readonly bounds: Bounds | undefined;
}

export interface Bounded {
  /** From here on the work counts. */
  readonly begin: () => void;
  readonly end: () => void;
}

/**
 * Has a thread of its own watch this process, so that it is seen also while the process computes without a pause: it
 * ends when who started it has ended, and when it uses more than it may.
 */
export function watched(bounds?: Bounds): Bounded {
  const began = new Float64Array(new SharedArrayBuffer(8));
  const workerData: Watch = { parent: process.ppid, began, bounds };
  new Worker(shipped('dist', 'bounds.mjs'), { workerData, stdout: false, execArgv: [] }).unref();
  return {
    begin: () => (began[0] = microseconds()),
    end: () => (began[0] = 0),
  };
}

/** Computing time of this process so far. */
export function microseconds(): number {
  const { user, system } = process.cpuUsage();
  return user + system;
}
