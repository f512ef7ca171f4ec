import { Job, type Asset } from '../core/job';

/** Fields that name a picture, a drawing or a document. */
const NAMES_A_FILE: readonly string[] = ['picture', 'drawing', 'document'];

/** A job as it is kept beside the code: its pictures by the names of their files, its ids in the order they come. */
export type Kept = Readonly<Record<string, unknown>>;

/** What a file of the demo became when it was brought in. */
export interface BroughtIn {
  readonly sha: string;
  readonly asset: Asset;
}

/** What the board says of a job, and what differs from one installation to the next. */
const LEFT_OUT: readonly string[] = ['id', 'name', 'assets', 'client', 'stage', 'due', 'quantity', 'notes'];

/** Every id that was given by chance, in the order of the job. */
function idsOf({ measures, pieces }: Job): readonly string[] {
  const named = pieces.flatMap((p) => [...p.grids, ...p.guides, ...p.groups, ...Object.values(p.surfaces).flat()]);
  return [...measures, ...named].map(({ id }) => id);
}

/** The job without what differs each time it is built. */
export function toKept(job: Job): Kept {
  const ids = new Map(idsOf(job).map((id, i) => [id, `n${i + 1}`]));
  const asName = (key: string, value: unknown): unknown => {
    if (typeof value !== 'string') return value;
    return NAMES_A_FILE.includes(key) ? (job.assets[value]?.name ?? value) : (ids.get(value) ?? value);
  };
  const rest = Object.fromEntries(Object.entries(job).filter(([key]) => !LEFT_OUT.includes(key)));
  return JSON.parse(JSON.stringify(rest, asName)) as Kept;
}

/** The names of the files that a kept job asks for. */
export function filesOf(kept: Kept): readonly string[] {
  const found = new Set<string>();
  JSON.stringify(kept, (key, value: unknown) => {
    if (NAMES_A_FILE.includes(key) && typeof value === 'string') found.add(value);
    return value;
  });
  return [...found];
}

/** A kept job with its files and what the board says of it. */
export function fromKept(kept: Kept, files: ReadonlyMap<string, BroughtIn>, board: Partial<Job>): Job {
  const asSha = (key: string, value: unknown): unknown =>
    NAMES_A_FILE.includes(key) && typeof value === 'string' ? (files.get(value)?.sha ?? value) : value;
  const assets = Object.fromEntries(
    filesOf(kept).flatMap((name) => {
      const file = files.get(name);
      return file ? [[file.sha, file.asset]] : [];
    }),
  );
  return Job.parse({ ...(JSON.parse(JSON.stringify(kept, asSha)) as Kept), assets, ...board });
}
