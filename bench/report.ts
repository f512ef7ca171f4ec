import { Bench } from 'tinybench';

/** What was measured, one row each, beside its floor of the same run. */
export const rows: { what: string; ours: string; floor: string; ratio: string }[] = [];

export function note(what: string, ours: string, floor = '', ratio = ''): void {
  rows.push({ what, ours, floor, ratio });
  // Said at once too: the whole run takes minutes.
  console.error(`${what}: ${ours}${floor && ` beside ${floor}`}${ratio && `, ${ratio}`}`);
}

export const ms = (n: number): string => `${n.toFixed(n < 10 ? 2 : 0)} ms`;
export const mb = (bytes: number): string => `${(bytes / 1e6).toFixed(0)} MB`;
export const times = (a: number, b: number): string => `${(a / b).toFixed(2)} ×`;

/** Mean of some runs after one to warm up, ms. */
export async function mean(work: () => unknown, time = 400): Promise<number> {
  const bench = new Bench({ time, warmupTime: 100, iterations: 5, warmupIterations: 1 }).add('x', work);
  await bench.run();
  const result = bench.tasks[0]?.result;
  if (!result || !('latency' in result)) throw new Error('nothing was measured');
  return result.latency.mean;
}

export async function once(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await work();
  return performance.now() - start;
}
