import { z } from 'zod';
import type { Asset, Job, SideName } from '../../job';
import type { DrawnJob } from '../drawn-job';

/** What a change is made on. */
export interface Changing {
  readonly job: Job;
  /** A side as it is drawn by now, for what has to be measured. */
  readonly draw: (side: SideName) => Promise<DrawnJob>;
  /** A file that the changes name; it was read before the first of them. @throws CannotChange when it was not there */
  readonly file: (name: string) => BroughtFile;
}

/** A file as it is brought into a job. */
export interface BroughtFile {
  /** SHA-256 of its bytes. */
  readonly sha: string;
  readonly asset: Asset;
}

/** A change that cannot be made; the message says why, and what to write instead. */
export class CannotChange extends Error {}

/** A kind of change, as a file of changes names it. */
export interface ChangeKind {
  readonly do: string;
  /** What it does, in a sentence. */
  readonly about: string;
  /** A step as it is written, `do` included. */
  readonly schema: z.ZodObject;
  /** One that can be made on the job that the ones before it in the list leave. */
  readonly example: Readonly<Record<string, unknown>>;
  /** @param step as `schema` has read it @throws CannotChange */
  readonly run: (at: Changing, step: unknown) => Promise<Job>;
}

/** A kind of change by the fields of its step. */
export function defineChange<Fields extends z.ZodRawShape>(kind: {
  readonly do: string;
  readonly about: string;
  readonly fields: Fields;
  readonly example: z.input<z.ZodObject<Fields>>;
  readonly run: (at: Changing, step: z.output<z.ZodObject<Fields>>) => Job | Promise<Job>;
}): ChangeKind {
  const fields = z.strictObject(kind.fields);
  return {
    do: kind.do,
    about: kind.about,
    schema: z.strictObject({ do: z.literal(kind.do), ...kind.fields }),
    example: { do: kind.do, ...kind.example },
    run: async (at, step) => {
      const { do: name, ...rest } = z.looseObject({ do: z.string() }).parse(step);
      return kind.run(at, fields.parse(rest));
    },
  };
}
