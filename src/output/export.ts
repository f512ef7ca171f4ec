import type { Job, SheetGuest } from '../core/job';
import type { AssetSource } from './assets';
import { CannotExport } from './cannot-export';
import { exportOf, type ExportKind } from './exports';
import type { MadeFile, Progress } from './file';

export interface ExportRequest {
  readonly job: Job;
  readonly assets: AssetSource;
  readonly kind: ExportKind;
  /** The moment that the files name; the same moment gives the same bytes. */
  readonly at: Date;
  /** The number under which this state was saved, where it was. */
  readonly revision?: number | undefined;
  readonly progress?: Progress;
  /** States of other jobs that lie on the same sheets; left out, there are none. */
  readonly guest?: (guest: SheetGuest) => Promise<Job | undefined>;
}

/** Makes the files of one kind from a job. */
export async function exportJob(request: ExportRequest): Promise<readonly MadeFile[]> {
  const { job, assets, kind, at, revision, progress = () => undefined } = request;
  const guest = async (asked: SheetGuest): Promise<Job> => {
    const found = await request.guest?.(asked);
    if (found) return found;
    throw new CannotExport(`“${asked.name}” lies on the same sheets and is not here. Take it off them.`);
  };
  const made = exportOf(kind);
  if (!made) throw new CannotExport(`“${kind}” is not a kind of file.`);
  const desk = async () => {
    progress(0, 'Opening fonts and profile');
    const { openDesk } = await import('./desk');
    return openDesk(job, assets);
  };
  return made.make({ job, assets, guest, at, revision, progress, desk });
}
