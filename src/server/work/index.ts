import * as data from './data';
import * as files from './files';
import * as intake from './intake';
import * as jobs from './jobs';
import * as pictures from './pictures';
import * as practice from './practice';

/**
 * What reads bytes from outside or draws a job. None of it runs in the server’s own process: a file or a job
 * may be made so that reading it takes for ever, or all memory there is.
 */
export const WORKS = { ...data, ...files, ...intake, ...jobs, ...pictures, ...practice };

export type WorkName = keyof typeof WORKS;
export type Given<N extends WorkName> = Parameters<(typeof WORKS)[N]>[0];
export type Made<N extends WorkName> = Awaited<ReturnType<(typeof WORKS)[N]>>;

/** A piece of work on its way to a process. */
export interface Order {
  readonly name: WorkName;
  readonly given: unknown;
}

/** What came of it. */
export type Outcome =
  | { readonly ok: true; readonly made: unknown }
  | {
      readonly ok: false;
      readonly problem: {
        readonly status: number;
        readonly message: string;
        readonly todo: string;
        readonly details: Readonly<Record<string, unknown>>;
      };
    }
  | { readonly ok: false; readonly problem: undefined; readonly trace: string };
