import { revision } from '@/server/jobs';
import { wholeNumber, type Params } from '@/server/params';
import { route } from '@/server/respond';

export const GET = route<Params<'id' | 'number'>>(async (_request, { params }) => {
  const { id, number } = await params;
  return { job: await revision(id, wholeNumber(number, 'A revision')) };
});
