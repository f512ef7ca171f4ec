import 'server-only';
import { createHash } from 'node:crypto';
import { readFile, rm, stat } from 'node:fs/promises';
import { z } from 'zod';
import { shipped } from '@/output';
import { pool } from './pool';
import { Problem } from './problem';
import { dataFolder } from './store/database';
import type { Given, Made, Outcome, WorkName } from './work';
import { BOUNDS } from './work/bounds';
import { writeWhole } from './write-whole';
import { halted } from './problems';

/** Who asks for work, and how it is known again. */
export interface Asking {
  /** Everything the result depends on, but for the program. */
  readonly key: string;
  /** What it must not be shared over: a place of its own that it reads from or writes to. */
  readonly apart?: string;
  /** Aborted when who asked has gone: work that nobody waits for is ended. */
  readonly signal?: AbortSignal | undefined;
  /** Tries again what was stopped before. */
  readonly again?: boolean;
}

/** Each piece of work in words, and what to do when it cannot be done. */
const WORDS: Readonly<Record<WorkName, readonly [what: string, todo: string]>> = {
  readAsset: ['Reading this file', 'Nothing was changed. Save it simpler in the program it comes from.'],
  answerFile: ['Looking at this file', 'Save it simpler in the program it comes from.'],
  answerJob: ['Making and looking at the press file', 'Export it under Output, and hand it in under Intake.'],
  printReply: ['Setting this reply', 'Hand in the file again.'],
  openJobFile: ['Reading this file', 'Nothing was changed. Export it again.'],
  readJobText: ['Reading this job', 'Nothing was changed. Take out what is repeated very often.'],
  readKeptState: ['Reading this job', 'Restore an earlier revision.'],
  thumbnail: ['Drawing this job', 'Open it and take out what is repeated very often.'],
  findings: ['Checking this job', 'Open it and take out what is repeated very often.'],
  benchPicture: ['Drawing this picture', 'Save it smaller and bring it in again.'],
  pictureInks: ['Reading the inks of this picture', 'Save it smaller and bring it in again.'],
  pictureGamut: ['Comparing this picture with the paper', 'Save it smaller and bring it in again.'],
  pictureInkMost: ['Reading the inks of this picture', 'Save it smaller and bring it in again.'],
  pictureShapes: ['Tracing this picture', 'Choose another percentage, or save the picture smaller.'],
  pictureColours: ['Reading the colours of this picture', 'Save it smaller and bring it in again.'],
  drawingArt: ['Reading this drawing', 'Save it simpler and bring it in again.'],
  benchPage: ['Drawing this page', 'Save the PDF simpler and bring it in again.'],
  dataRows: ['Reading these rows', 'Save them in smaller files and bring one in.'],
  planSteps: ['Working out the days of this job', 'Open it, and look at its schedule under Record.'],
  spoil: ['Spoiling this piece', 'Take another piece to practise on.'],
  fontFile: ['Reading this font', 'Bring in another file of it.'],
};

/** How work ended that came to no end, and what it was allowed to use. */
const Note = z.object({
  why: z.enum(['seconds', 'megabytes', 'crash']),
  at: z.iso.datetime(),
  seconds: z.number(),
  megabytes: z.number(),
});
type Note = z.infer<typeof Note>;

function whyOf({ why, seconds, megabytes }: Note): string {
  switch (why) {
    case 'seconds':
      return `took more than ${seconds} seconds of computing and was stopped`;
    case 'megabytes':
      return `needed more than ${megabytes / 1024} GB of memory and was stopped`;
    case 'crash':
      return 'broke off: the process that did it ended';
  }
}

function stoppedProblem(name: WorkName, note: Note): Problem {
  const [what, todo] = WORDS[name];
  return new Problem(422, `${what} ${whyOf(note)}.`, todo, { stopped: note });
}

/**
 * Has a piece of work done by a process of the pool. The same work is done once for all who ask for it at a time; work
 * that had to be stopped is remembered, and not tried again until somebody wants that.
 * @throws Problem when it cannot be done
 */
export async function ask<N extends WorkName>(name: N, given: Given<N>, asking: Asking): Promise<Made<N>> {
  const hash = createHash('sha256')
    .update([name, asking.key, await programStamp()].join('\n'))
    .digest('hex');
  const note = dataFolder('cache', `stopped-${hash}.json`);
  if (asking.again) await rm(note, { force: true });
  const before = await readFile(note, 'utf8').catch(() => undefined);
  if (before !== undefined) {
    const read = Note.safeParse(JSON.parse(before));
    if (read.success) throw stoppedProblem(name, read.data);
  }
  const answer = await pool(poolEnvironment).ask(`${hash} ${asking.apart ?? ''}`, { name, given }, asking.signal);
  if (answer.done) return madeOf(answer.outcome) as Made<N>;
  switch (answer.why) {
    case 'busy':
      throw halted.busy();
    case 'left':
      throw halted.left();
    case 'seconds':
    case 'megabytes':
    case 'crash': {
      const noted: Note = { why: answer.why, at: new Date().toISOString(), ...BOUNDS };
      await writeWhole(note, Buffer.from(JSON.stringify(noted)));
      throw stoppedProblem(name, noted);
    }
  }
}

const poolEnvironment = () => ({ YS_HOME: shipped(), YS_ASSETS: dataFolder('assets') });

function madeOf(outcome: Outcome): unknown {
  if (outcome.ok) return outcome.made;
  if (!outcome.problem) throw new Error(outcome.trace);
  const { status, message, todo, details } = outcome.problem;
  throw new Problem(status, message, todo, details);
}

let stamp: Promise<string> | undefined;

/** Changes with the program: what an older one could not do, a newer one may. */
const programStamp = (): Promise<string> =>
  (stamp ??= stat(shipped('dist', 'work.mjs')).then(({ size, mtimeMs }) => `${size} ${mtimeMs}`));
