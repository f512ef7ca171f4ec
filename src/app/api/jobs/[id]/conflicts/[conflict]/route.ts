import { settleConflict } from '@/server/jobs';
import { wholeNumber, type Params } from '@/server/params';
import { route } from '@/server/respond';

/** The designer chose; both versions stay in the record. */
export const PUT = route<Params<'id' | 'conflict'>>(async (_request, { params }) => {
  const { id, conflict } = await params;
  await settleConflict(id, wholeNumber(conflict, 'A conflict'));
});
