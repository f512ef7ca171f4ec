import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';

/** What one part of the siege found. */
export interface Found {
  readonly part: string;
  readonly tried: number;
  /** Acknowledged and not there afterwards. */
  readonly lost: number;
  /** The server ended, or a page did. */
  readonly crashes: number;
  /** Answers of 500 and more that are not said to be of the disk, the database, or too much at once. */
  readonly errors: number;
  /** Slowest answer of what was tried, ms. */
  readonly slowest: number;
  /** Slowest answer that somebody else got meanwhile, ms. */
  readonly others: number;
  /** Files and processes left behind. */
  readonly left: number;
  /** Megabytes more than before, when all is over. */
  readonly memory: number;
  /** What was not as it should be, and what else is worth saying. */
  readonly notes: readonly string[];
}

/** Every process that descends from one, with itself. */
export function processTree(root: number): readonly number[] {
  const children = new Map<number, number[]>();
  for (const name of readdirSync('/proc').filter((n) => /^\d+$/.test(n))) {
    try {
      const parent = Number(/^PPid:\s+(\d+)/m.exec(readFileSync(`/proc/${name}/status`, 'utf8'))?.[1]);
      children.set(parent, [...(children.get(parent) ?? []), Number(name)]);
    } catch {
      // It ended meanwhile.
    }
  }
  const found: number[] = [];
  const open = [root];
  for (let pid = open.pop(); pid !== undefined; pid = open.pop()) {
    found.push(pid);
    open.push(...(children.get(pid) ?? []));
  }
  return found;
}

/** Whether a process still does anything: one that ended and was not waited for does not. */
export function isAlive(pid: number): boolean {
  try {
    return !/^State:\s+Z/m.test(readFileSync(`/proc/${pid}/status`, 'utf8'));
  } catch {
    return false;
  }
}

/** Memory in use by a process and all that it started, MB. */
export function memoryOf(root: number): number {
  const kilobytes = processTree(root).map((pid) => {
    try {
      return Number(/^VmRSS:\s+(\d+)/m.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0);
    } catch {
      return 0;
    }
  });
  return kilobytes.reduce((sum, kb) => sum + kb, 0) / 1024;
}

/** Files that were begun and not ended in a data folder. */
export function leavings(data: string): readonly string[] {
  const names = (folder: string): readonly string[] => {
    try {
      return readdirSync(join(data, folder)).map((name) => join(folder, name));
    } catch {
      return [];
    }
  };
  const parts = [...names('assets'), ...names('cache'), ...names('copies')].filter((name) => name.endsWith('.part'));
  return [...parts, ...names('incoming')];
}

/** How long after all is over memory is looked at, ms: processes without work end after half a minute. */
export const REST = 40_000;

export const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** Somebody else at the same server: asks for the board again and again, and notes how long it takes. */
export class Somebody {
  slowest = 0;
  failures = 0;
  private going = true;
  private readonly done: Promise<void>;

  constructor(base: string, everyMs = 100) {
    this.done = this.ask(base, everyMs);
  }

  private async ask(base: string, everyMs: number): Promise<void> {
    while (this.going) {
      const at = Date.now();
      try {
        const answer = await fetch(`${base}/api/jobs`, { signal: AbortSignal.timeout(30_000) });
        await answer.arrayBuffer();
        if (!answer.ok) this.failures += 1;
      } catch {
        this.failures += 1;
      }
      this.slowest = Math.max(this.slowest, Date.now() - at);
      await pause(everyMs);
    }
  }

  async end(): Promise<void> {
    this.going = false;
    await this.done;
  }
}

/** Does a list of things, so many at a time, in order. */
export async function eachOf<T>(
  list: readonly T[],
  atATime: number,
  work: (item: T, i: number) => Promise<void>,
): Promise<void> {
  let next = 0;
  const hand = async () => {
    for (let i = next; i < list.length; i = next) {
      next += 1;
      const item = list[i];
      if (item !== undefined) await work(item, i);
    }
  };
  await Promise.all(Array.from({ length: atATime }, hand));
}
