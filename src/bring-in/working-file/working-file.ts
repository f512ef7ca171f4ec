import { unzipSync, zipSync, strToU8, strFromU8, type Zippable } from 'fflate';
import { readJob, type Job } from '../../core/job';

export const MAX_WORKING_BYTES = 1024 * 1024 * 1024;
const MAX_ENTRIES = 2_000;
const MAX_JOB_BYTES = 64 * 1024 * 1024;

/** How many times its size a deflated entry can hold at most (RFC 1951: 258 bytes in two bits). */
const MOST_GROWTH = 1032;

const JOB_ENTRY = 'job.json';
const ASSET_ENTRY = /^assets\/([0-9a-f]{64})$/;

/** The earliest moment a zip can name, so that the same job gives the same bytes. */
const EPOCH = new Date(1980, 0, 1);

/** A working file: `job.json`, and `assets/` with each picture and font under the SHA-256 of its bytes. */
export function writeWorkingFile(job: Job, assets: ReadonlyMap<string, Uint8Array>): Uint8Array {
  const entries: Zippable = { [JOB_ENTRY]: [strToU8(`${JSON.stringify(job, null, 2)}\n`), { mtime: EPOCH, level: 6 }] };
  for (const sha of [...assets.keys()].sort()) {
    const bytes = assets.get(sha);
    // Pictures are packed already.
    if (bytes) entries[`assets/${sha}`] = [bytes, { mtime: EPOCH, level: 0 }];
  }
  return zipSync(entries);
}

export type WorkingReading =
  | { readonly ok: true; readonly job: Job; readonly assets: ReadonlyMap<string, Uint8Array> }
  | { readonly ok: false; readonly problems: readonly string[] };

/** Whether bytes begin as a zip does. */
export const isZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

/**
 * Reads a working file as hostile input: only the two kinds of entry above, bounded in number and size, and every
 * asset is what its name says.
 * @param hash SHA-256 in hex
 */
export function readWorkingFile(bytes: Uint8Array, hash: (bytes: Uint8Array) => string): WorkingReading {
  const strange: string[] = [];
  let count = 0;
  let total = 0;
  let packed = 0;
  let files: Record<string, Uint8Array>;
  try {
    files = unzipSync(bytes, {
      filter: ({ name, size, originalSize }) => {
        count += 1;
        total += originalSize;
        packed += size;
        // Entries that share their bytes, or say that they hold more than bytes can hold, are made to fill the memory.
        if (packed > bytes.length || originalSize > MOST_GROWTH * (size + 1)) throw new Error('not a sound zip');
        if (name !== JOB_ENTRY && !ASSET_ENTRY.test(name)) {
          strange.push(name);
          return false;
        }
        return (
          count <= MAX_ENTRIES && total <= MAX_WORKING_BYTES && (name !== JOB_ENTRY || originalSize <= MAX_JOB_BYTES)
        );
      },
    });
  } catch {
    return bad('The file is a damaged zip. Export the working file again.');
  }
  if (strange.length > 0) {
    return bad(
      `“${printable(strange[0] ?? '')}” does not belong in a working file, so nothing was opened. Export it ` +
        'again from Yellow Sheet.',
    );
  }
  if (count > MAX_ENTRIES || total > MAX_WORKING_BYTES)
    return bad('The working file is larger than this program opens.');
  const document = files[JOB_ENTRY];
  if (!document)
    return bad('There is no job in this zip: it has no job.json. Choose a working file made by Yellow Sheet.');
  const assets = new Map<string, Uint8Array>();
  for (const [name, data] of Object.entries(files)) {
    const sha = ASSET_ENTRY.exec(name)?.[1];
    if (!sha) continue;
    if (hash(data) !== sha)
      return bad('A picture or font in the working file is damaged: its contents do not match its name.');
    assets.set(sha, data);
  }
  const read = readJobText(strFromU8(document));
  return read.ok ? { ok: true, job: read.job, assets } : read;
}

/** Reads a job from the text of a job file. */
export function readJobText(text: string): ReturnType<typeof readJob> {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    const where = error instanceof Error ? error.message : '';
    return { ok: false, problems: [`The file is not JSON: ${printable(where)}`] };
  }
  return readJob(data);
}

const bad = (problem: string): WorkingReading => ({ ok: false, problems: [problem] });

const printable = (name: string): string => name.replace(/[^\x20-\x7e]/g, '?').slice(0, 120);
