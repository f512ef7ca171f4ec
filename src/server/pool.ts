import 'server-only';
import { fork, type ChildProcess } from 'node:child_process';
import { availableParallelism } from 'node:os';
import { ENDED_BY } from '@/output/bounds';
import { shipped } from '@/output';
import type { Order, Outcome } from './work';

/**
 * Processes at work at the same time. One more than the machine has cores: a long piece of work must not hold up all
 * others.
 */
const MOST_PROCESSES = Math.max(2, availableParallelism()) + 1;
/** Pieces of work that may wait. */
const MOST_WAITING = 400;
/** After so much without work a process ends, ms. */
const IDLE = 30_000;
/** For work that waits for something that never comes, ms: computing is bounded by the process itself. */
const HANGS = 120_000;

/** Why a piece of work came to no end. */
export type Ending = 'seconds' | 'megabytes' | 'crash';

/** What came of work that was asked for: its outcome, or why there is none. */
export type Answer =
  | { readonly done: true; readonly outcome: Outcome }
  /** `busy`: more waits than may wait; `left`: nobody waited for it any more. */
  | { readonly done: false; readonly why: Ending | 'busy' | 'left' };

interface Task {
  readonly order: Order;
  readonly answer: (answer: Answer) => void;
}

/** Work under way, and for how many. */
interface Shared {
  readonly answer: Promise<Answer>;
  readonly giveUp: () => void;
  askers: number;
}

interface Desk {
  readonly child: ChildProcess;
  task: Task | undefined;
  /** Until it has something to do, or something takes too long. */
  timer: NodeJS.Timeout | undefined;
}

/**
 * Processes that do one piece of work after another, first come first served; one that ends is replaced when it is
 * needed.
 */
class Pool {
  private readonly waiting: Task[] = [];
  private readonly desks = new Set<Desk>();
  private readonly shared = new Map<string, Shared>();

  constructor(private readonly env: () => Readonly<Record<string, string>>) {}

  /**
   * Has work done. The same work is done once for all who ask for it at a time, and ended when all of them have gone.
   * @param id tells work apart
   */
  async ask(id: string, order: Order, signal: AbortSignal | undefined): Promise<Answer> {
    if (signal?.aborted) return { done: false, why: 'left' };
    const mine: Shared = this.shared.get(id) ?? { ...this.start(order), askers: 0 };
    this.shared.set(id, mine);
    mine.askers += 1;
    const leave = () => {
      mine.askers -= 1;
      if (mine.askers > 0) return;
      this.shared.delete(id);
      mine.giveUp();
    };
    signal?.addEventListener('abort', leave, { once: true });
    try {
      return await mine.answer;
    } finally {
      signal?.removeEventListener('abort', leave);
      if (this.shared.get(id) === mine) this.shared.delete(id);
    }
  }

  private start(order: Order): Pick<Shared, 'answer' | 'giveUp'> {
    if (this.waiting.length >= MOST_WAITING)
      return { answer: Promise.resolve({ done: false, why: 'busy' }), giveUp: () => undefined };
    const { promise, resolve } = withResolvers<Answer>();
    const task: Task = { order, answer: resolve };
    this.waiting.push(task);
    this.next();
    return { answer: promise, giveUp: () => this.giveUp(task) };
  }

  private giveUp(task: Task): void {
    const place = this.waiting.indexOf(task);
    if (place >= 0) this.waiting.splice(place, 1);
    task.answer({ done: false, why: 'left' });
    for (const desk of this.desks) if (desk.task === task) desk.child.kill('SIGKILL');
  }

  private next(): void {
    if (this.waiting.length === 0) return;
    const desk = [...this.desks].find((d) => !d.task) ?? (this.desks.size < MOST_PROCESSES ? this.open() : undefined);
    const task = desk && this.waiting.shift();
    if (!task) return;
    clearTimeout(desk.timer);
    holdOpen(desk.child, true);
    desk.task = task;
    desk.timer = setTimeout(() => desk.child.kill(ENDED_BY.seconds), HANGS);
    // A process that ended meanwhile is told by its end.
    desk.child.send(task.order, () => undefined);
    this.next();
  }

  private open(): Desk {
    const child = fork(/* turbopackIgnore: true */ shipped('dist', 'work.mjs'), [], {
      serialization: 'advanced',
      stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
      env: { ...process.env, ...this.env() },
      execArgv: ['--max-old-space-size=1536'],
    });
    const desk: Desk = { child, task: undefined, timer: undefined };
    this.desks.add(desk);
    child.on('message', (outcome: Outcome) => {
      const { task } = desk;
      this.rest(desk);
      task?.answer({ done: true, outcome });
      this.next();
    });
    child.on('error', (error) => {
      this.close(desk, 'crash');
      console.error('A process for work could not be started.', error);
    });
    child.on('exit', (_code, signal) => this.close(desk, whyOf(signal)));
    return desk;
  }

  private rest(desk: Desk): void {
    clearTimeout(desk.timer);
    desk.task = undefined;
    holdOpen(desk.child, false);
    // It is left out first: work that comes before its end is told must not be given to it.
    desk.timer = setTimeout(() => {
      this.desks.delete(desk);
      desk.child.kill('SIGKILL');
    }, IDLE);
    desk.timer.unref();
  }

  private close(desk: Desk, why: Ending): void {
    if (!this.desks.delete(desk)) return;
    clearTimeout(desk.timer);
    desk.task?.answer({ done: false, why });
    this.next();
  }
}

/** A process without work keeps nobody from ending. */
function holdOpen(child: ChildProcess, isHeld: boolean): void {
  if (isHeld) {
    child.ref();
    child.channel?.ref();
  } else {
    child.unref();
    child.channel?.unref();
  }
}

/** An abort is how V8 ends when its own memory is spent. */
function whyOf(signal: NodeJS.Signals | null): Ending {
  if (signal === ENDED_BY.seconds) return 'seconds';
  return signal === ENDED_BY.megabytes || signal === 'SIGABRT' ? 'megabytes' : 'crash';
}

/** `Promise.withResolvers`, which Node 20 lacks. */
function withResolvers<T>(): { readonly promise: Promise<T>; readonly resolve: (value: T) => void } {
  let resolve: (value: T) => void = () => undefined;
  const promise = new Promise<T>((done) => {
    resolve = done;
  });
  return { promise, resolve };
}

// One pool a process, also across the reloads of the development server.
const holder = globalThis as { yellowSheetPool?: Pool };

/** @param env what its processes are told beside this one’s environment */
export const pool = (env: () => Readonly<Record<string, string>>): Pool => (holder.yellowSheetPool ??= new Pool(env));
