import { z } from 'zod';
import type { Asset, FontAsset, PictureAsset } from './asset';
import { Job, JOB_VERSION, type Piece } from './schema';
import { Impossible } from '../format';
import { blankOf } from './blank-of';
import { describeProblems } from './describe-problems';
import { upgraded } from './upgrade';
import { readLayouts } from './inherit';
import { looseEnds } from './loose-ends';

export type JobReading =
  { readonly ok: true; readonly job: Job } | { readonly ok: false; readonly problems: readonly string[] };

/**
 * Reads a job from parsed JSON. Everything past this point trusts the job.
 * @returns the job with its defaults filled in, or at most twelve sentences saying where it is wrong and what was
 * expected
 */
export function readJob(data: unknown): JobReading {
  if (typeof data === 'object' && data !== null && 'version' in data && typeof data.version === 'number') {
    if (data.version > JOB_VERSION) {
      const problem =
        `This job was written by a newer Yellow Sheet (format ${data.version}; this one reads up to ` +
        `${JOB_VERSION}). Update this one and open it again.`;
      return { ok: false, problems: [problem] };
    }
  }
  const parsed = Job.safeParse(upgraded(data));
  if (!parsed.success) return { ok: false, problems: describeProblems(parsed.error) };
  const twice = repeatedIds(parsed.data);
  if (twice.length > 0) return { ok: false, problems: twice.map((id) => `Two elements share the id “${id}”.`) };
  const followed = parsed.data.pieces.map(readLayouts);
  const unlike = followed.flatMap((f) => f.problems).slice(0, 12);
  if (unlike.length > 0) return { ok: false, problems: unlike };
  const job = { ...parsed.data, pieces: followed.map((f) => f.piece) };
  const loose = looseEnds(job);
  if (loose.length > 0) return { ok: false, problems: loose };
  const impossible = job.pieces.flatMap((piece) => impossibilities(job, piece));
  return impossible.length > 0 ? { ok: false, problems: impossible } : { ok: true, job };
}

/** What cannot be made of a piece’s decisions; empty when it can. */
function impossibilities(job: Job, piece: Piece): string[] {
  try {
    blankOf(job, piece);
    return [];
  } catch (error) {
    if (error instanceof Impossible) return [`pieces → ${piece.id} → ${error.parameter}: ${error.message}`];
    throw error;
  }
}

function repeatedIds(job: Job): string[] {
  return job.pieces.flatMap((piece) => {
    const known = new Set<string>();
    const repeated = new Set<string>();
    for (const list of [...Object.values(piece.surfaces), ...piece.bases.map((b) => b.elements)])
      for (const { id } of list) (known.has(id) ? repeated : known).add(id);
    return [...repeated];
  });
}

/** The JSON Schema of the job file, from the same source as the types. */
export const jobJsonSchema = (): object => z.toJSONSchema(Job, { io: 'input', reused: 'ref' });

export function pictureAsset(assets: Readonly<Record<string, Asset>>, sha: string | null): PictureAsset | undefined {
  const asset = sha === null ? undefined : assets[sha];
  return asset?.kind === 'picture' ? asset : undefined;
}

/** Fonts that came with the job, with the SHA-256 of their bytes. */
export function jobFonts(job: Job): readonly (FontAsset & { readonly sha: string })[] {
  return Object.entries(job.assets).flatMap(([sha, asset]) => (asset.kind === 'font' ? [{ ...asset, sha }] : []));
}
