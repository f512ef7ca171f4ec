import { conflictVersion, settleConflict } from '@/server/conflicts';
import { wholeNumber, type Params } from '@/server/params';
import { route } from '@/server/respond';

export const GET = route<Params<'id' | 'conflict'>>(async (_request, { params }) => {
  const { id, conflict } = await params;
  return { job: await conflictVersion(id, wholeNumber(conflict, 'A version')) };
});

/** The designer chose; both versions stay. */
export const PUT = route<Params<'id' | 'conflict'>>(async (_request, { params }) => {
  const { id, conflict } = await params;
  await settleConflict(id, wholeNumber(conflict, 'A version'));
});
