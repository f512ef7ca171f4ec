import type { Job } from '../core/job';
import { inMemoryAssets } from './assets';
import { openDesk } from './desk';
import { previewPdf } from './preview';

/** Pages that go along with a job, which are a job of their own, as a PDF. @param files their pictures by hash */
export const pagesPdf = async (
  pages: Job,
  at: Date,
  files: ReadonlyMap<string, Uint8Array> = new Map(),
): Promise<Uint8Array> => previewPdf(await openDesk(pages, inMemoryAssets(files)), at, () => undefined);
