import { workerData } from 'node:worker_threads';
import { ENDED_BY, microseconds, type Watch } from './bounds';

/** Milliseconds between two looks. */
const LOOK = 100;

const { parent, began, bounds } = workerData as Watch;

setInterval(() => {
  if (process.ppid !== parent) process.kill(process.pid, 'SIGKILL');
  if (!bounds) return;
  const start = began[0] ?? 0;
  if (start > 0 && microseconds() - start > bounds.seconds * 1e6) process.kill(process.pid, ENDED_BY.seconds);
  if (process.memoryUsage.rss() > bounds.megabytes * 1024 * 1024) process.kill(process.pid, ENDED_BY.megabytes);
}, LOOK);
