import { Job, type Asset } from '../core/job';

/** Fields that name a picture, a drawing, a document or rows. */
const NAMES_A_FILE: readonly string[] = ['picture', 'drawing', 'document', 'file'];

/** A job as it is kept beside the code: its pictures by the names of their files, its ids in the order they come. */
export type Kept = Readonly<Record<string, unknown>>;

/** What a file of the demo became when it was brought in. */
export interface BroughtIn {
  readonly sha: string;
  readonly asset: Asset;
}

/** What the board says of a job, and what differs from one installation to the next. */
const LEFT_OUT: readonly string[] = ['id', 'name', 'assets', 'client', 'stage', 'due', 'quantity', 'notes', 'previous'];

/** Every id that was given by chance, in the order of the job. */
function idsOf({ measures, styles, cellStyles, pieces }: Job): readonly string[] {
  const named = pieces.flatMap((p) => [
    ...p.grids,
    ...p.guides,
    ...p.groups,
    ...p.bases,
    ...p.bases.flatMap((b) => b.elements),
    ...Object.values(p.layouts).map(({ key }) => ({ id: key })),
    ...Object.values(p.surfaces).flat(),
    ...Object.values(p.finish ?? {}).flat(),
  ]);
  return [...measures, ...styles, ...cellStyles, ...named].map(({ id }) => id);
}

/** The job without what differs each time it is built. */
export function toKept(job: Job): Kept {
  const ids = new Map(idsOf(job).map((id, i) => [id, `n${i + 1}`]));
  // An item of a layout on a page is named by both.
  const asId = (id: string): string =>
    id
      .split('@')
      .map((part) => ids.get(part) ?? part)
      .join('@');
  const walk = (value: unknown, key: string): unknown => {
    if (typeof value === 'string')
      return NAMES_A_FILE.includes(key) ? (job.assets[value]?.name ?? value) : isId(value) ? asId(value) : value;
    if (Array.isArray(value)) return value.map((v) => walk(v, key));
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [isId(k) ? asId(k) : k, walk(v, k)]));
  };
  const isId = (text: string): boolean =>
    ids.has(text) || (text.includes('@') && text.split('@').every((part) => ids.has(part)));
  const rest = Object.fromEntries(Object.entries(job).filter(([key]) => !LEFT_OUT.includes(key)));
  return JSON.parse(JSON.stringify(walk(rest, ''))) as Kept;
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
