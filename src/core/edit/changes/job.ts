import { z } from 'zod';
import { formatOf } from '../../format';
import { OVERRIDE_FIELDS } from '../../figure';
import {
  Job,
  LogEntry,
  STEPS,
  StepSaid,
  describeProblems,
  freed,
  readDecisions,
  redecided,
  refusalOf,
  takeHouse,
  takeStock,
} from '../../job';
import { SHIPPED_PAPERS, SHIPPED_PRINTERS } from '../../shop';
import { recordNamed } from '../begin';
import { changePiece, pieceOf } from '../on-side';
import { withEntry } from '../log';
import { overrideFigure } from '../overrides';
import { saidOfStep } from '../schedule';
import { CannotChange, defineChange } from './change';
import { Typed } from './typed';

/** Facts of a job that are said and not worked out. */
export const JOB_FACTS = [
  'name',
  'client',
  'due',
  'quantity',
  'notes',
  'language',
  'unit',
  'step',
  'readingDistance',
  'stage',
] as const;

export type JobFacts = Readonly<Partial<Record<(typeof JOB_FACTS)[number], unknown>>>;

/** A job with other facts. @throws CannotChange where one of them cannot be */
export function withJobFacts(job: Job, facts: JobFacts): Job {
  const read = Job.safeParse({ ...job, ...facts });
  if (!read.success) throw new CannotChange(describeProblems(read.error).join(' '));
  return read.data;
}

export const jobChanges = [
  defineChange({
    do: 'set job',
    about: 'What the job is called and for whom it is, and how it is measured.',
    fields: { facts: z.partialRecord(z.enum(JOB_FACTS), z.unknown()).describe('As a job file holds them.') },
    example: { facts: { client: 'Quillrook Dark-Sky Society', quantity: 500 } },
    run: ({ job }, { facts }) => withJobFacts(job, facts),
  }),
  defineChange({
    do: 'decide',
    about: 'Changes decisions of the piece; `ys formats` shows those of each kind.',
    fields: { set: Typed },
    example: { set: { size: 'A6' } },
    run: ({ job }, { set }) => {
      const piece = pieceOf(job);
      const format = formatOf(piece.kind);
      if (!format) throw new CannotChange(`There is no format “${piece.kind}”.`);
      const read = readDecisions(format, set, { unit: job.unit, ppi: 300 });
      if (!read.ok) throw new CannotChange(`${read.parameter}: ${read.error.message}`);
      const made = redecided(piece, read.values);
      const refused = refusalOf(job, made);
      if (refused) throw new CannotChange(`${refused.parameter}: ${refused.error.message}`);
      return changePiece(job, () => made);
    },
  }),
  defineChange({
    do: 'override',
    about: 'Puts a value in place of one that is worked out; null gives the worked-out one back.',
    fields: { figure: z.enum(OVERRIDE_FIELDS), value: z.number().min(0).nullable() },
    example: { figure: 'bleed', value: 5 },
    run: ({ job }, { figure, value }) => overrideFigure(job, figure, value ?? undefined),
  }),
  defineChange({
    do: 'take paper',
    about: 'Prints on a paper that ships, by its name.',
    fields: { paper: z.string() },
    example: { paper: SHIPPED_PAPERS[0]?.name ?? '' },
    run: ({ job }, { paper }) => takeStock(job, recordNamed('paper', paper, SHIPPED_PAPERS)),
  }),
  defineChange({
    do: 'take printer',
    about: 'Gives the job to a printer that ships, by its name.',
    fields: { printer: z.string() },
    example: { printer: SHIPPED_PRINTERS[0]?.name ?? '' },
    run: ({ job }, { printer }) => takeHouse(job, recordNamed('printer', printer, SHIPPED_PRINTERS)),
  }),
  defineChange({
    do: 'write down',
    about: 'Writes down what happened with the job; what is to be done differently comes back when one like it begins.',
    fields: { kind: LogEntry.shape.kind, text: LogEntry.shape.text, at: LogEntry.shape.at },
    example: { kind: 'call', text: 'The house asks for the files a day earlier.', at: '2026-12-01T09:00:00Z' },
    run: ({ job }, { kind, text, at }) => withEntry(job, kind, text, new Date(at)),
  }),
  defineChange({
    do: 'plan step',
    about:
      'Says when a step of the schedule ends, when it was done or how many working days it takes; null takes it back.',
    fields: {
      step: z.enum(STEPS),
      on: StepSaid.shape.on.nullable(),
      done: StepSaid.shape.done.nullable(),
      days: StepSaid.shape.days.nullable(),
    },
    example: { step: 'approval', days: 3 },
    run: ({ job }, { step, ...said }) =>
      saidOfStep(
        job,
        step,
        Object.fromEntries(Object.entries(said).map(([name, value]) => [name, value ?? undefined])),
      ),
  }),
  defineChange({
    do: 'free',
    about: 'Frees a job from its template: everything can be changed then.',
    fields: {},
    example: {},
    run: ({ job }) => freed(job),
  }),
];
