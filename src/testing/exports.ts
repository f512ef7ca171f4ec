import type { Job } from '../core/job';
import { exportJob, gathered, type AssetSource, type ExportKind, type OutputFile } from '../output';
import { inMemory } from './jobs';
import { strictFaults } from './strict';

/** The moment all test exports are made at. */
const AT = new Date('2026-05-01T09:00:00Z');

/** The files of an export; press files are held to ISO 15930-7, all of them. */
export async function exported(
  job: Job,
  kind: ExportKind,
  assets: AssetSource = inMemory(),
): Promise<readonly OutputFile[]> {
  const files = await Promise.all((await exportJob({ job, assets, kind, at: AT })).map(gathered));
  if (kind === 'press' || kind === 'sheets')
    for (const file of files)
      if (/-(press|sheets)\.pdf$/.test(file.name)) expect(await strictFaults(file.bytes)).toEqual([]);
  return files;
}

/** The first of them: the PDF of a press file or a preview. */
export async function pdfOf(job: Job, assets?: AssetSource, kind: ExportKind = 'press'): Promise<Uint8Array> {
  const [file] = await exported(job, kind, assets);
  if (!file) throw new Error('no file');
  return file.bytes;
}
