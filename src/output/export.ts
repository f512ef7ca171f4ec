import type { Job } from '../core/job';
import type { AssetSource } from './assets';
import type { ExportKind } from './kinds';
import { openDesk } from './desk';
import { deskSheetFile } from './desk-sheet';
import { dieFiles } from './die';
import { dummyFile } from './dummy';
import { pressFile } from './press';
import { previewFiles } from './preview';
import { workingFile } from './working';
import type { OutputFile, Progress } from './file';

export interface ExportRequest {
  readonly job: Job;
  readonly assets: AssetSource;
  readonly kind: ExportKind;
  /** The moment that the files name; the same moment gives the same bytes. */
  readonly at: Date;
  readonly progress?: Progress;
}

/** Makes the files of one kind from a job. */
export async function exportJob(request: ExportRequest): Promise<readonly OutputFile[]> {
  const { job, assets, kind, at, progress = () => undefined } = request;
  switch (kind) {
    case 'working':
      return [await workingFile(job, assets)];
    case 'die': {
      progress(0, 'Opening fonts and profile');
      return dieFiles(await openDesk(job, assets), at, progress);
    }
    case 'dummy': {
      progress(0, 'Opening fonts and profile');
      return [await dummyFile(await openDesk(job, assets), at, progress)];
    }
    case 'desk': {
      progress(0, 'Opening fonts and profile');
      return [await deskSheetFile(await openDesk(job, assets), at, progress)];
    }
    case 'press': {
      progress(0, 'Opening fonts and profile');
      return [await pressFile(await openDesk(job, assets), at, progress)];
    }
    case 'preview': {
      progress(0, 'Opening fonts and profile');
      return previewFiles(await openDesk(job, assets), at, progress);
    }
  }
}
