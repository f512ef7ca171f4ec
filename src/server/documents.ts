import 'server-only';
import { execFile } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdir, readFile, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { DocumentReading } from '@/bring-in/document';
import { DocumentAsset } from '@/core/job';
import { shipped } from '@/output';
import { Problem } from './problem';
import { dataFolder } from './store/database';

/** What reading or drawing somebody else’s PDF may cost. */
const [SECONDS, MEGABYTES] = [30, 1024];

/** Runs the command line on a document, in a process that can be killed: a PDF from outside may be anything. */
async function onDocument(bytes: Uint8Array, args: (file: string, out: string) => readonly string[]): Promise<{ printed: string; made: Uint8Array | undefined }> {
  const folder = join(dataFolder('cache'), `document-${randomUUID()}`);
  await mkdir(folder, { recursive: true });
  try {
    const [file, out] = [join(folder, 'in.pdf'), join(folder, 'out.png')];
    await writeFile(file, bytes);
    const command = [`--max-old-space-size=${MEGABYTES}`, shipped('dist', 'ys.mjs'), ...args(file, out)];
    const printed = await new Promise<string>((resolve, reject) => {
      const options = { timeout: SECONDS * 1000, killSignal: 'SIGKILL' as const, maxBuffer: 10_000_000, env: { ...process.env, YS_HOME: shipped() } };
      execFile(process.execPath, command, options, (error, stdout, stderr) => {
        if (!error) resolve(stdout);
        else reject(new Problem(422, error.killed ? `This PDF took longer than ${SECONDS} seconds to read.` : (stderr.trim().split('\n')[0] ?? 'This PDF cannot be read.'), 'Save it simpler, or export it again.'));
      });
    });
    return { printed, made: await readFile(out).catch(() => undefined) };
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
} // prettier-ignore

/** The pages of a document. */
export async function documentReading(name: string, bytes: Uint8Array): Promise<DocumentReading> {
  try {
    const { printed } = await onDocument(bytes, (file) => ['pages', file, '--name', name]);
    return { ok: true, document: DocumentAsset.parse(JSON.parse(printed)) };
  } catch (error) {
    if (error instanceof Problem) return { ok: false, problem: error.message };
    throw error;
  }
}

/** A page of a document as a PNG for the bench. */
export async function documentPagePng(bytes: Uint8Array, page: number, wide: number): Promise<Uint8Array> {
  const { made } = await onDocument(bytes, (file, out) => ['page', file, '--page', String(page), '--wide', String(wide), '--out', out]); // prettier-ignore
  if (!made) throw new Problem(422, 'This page cannot be drawn.', 'Save the PDF again.');
  return made;
}
