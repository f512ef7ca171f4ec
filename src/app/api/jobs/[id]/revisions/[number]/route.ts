import { layOnTop, revision } from '@/server/jobs';
import { wholeNumber, type Params } from '@/server/params';
import { route } from '@/server/respond';

export const GET = route<Params<'id' | 'number'>>(async (_request, { params }) => {
  const { id, number } = await params;
  return { job: await revision(id, wholeNumber(number, 'A revision')) };
});

/** Makes an earlier state the newest, where the newest can no longer be read. */
export const PUT = route<Params<'id' | 'number'>>(async (_request, { params }) => {
  const { id, number } = await params;
  await layOnTop(id, wholeNumber(number, 'A revision'));
});
