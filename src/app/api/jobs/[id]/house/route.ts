import { answerRevision } from '@/server/intake';
import { wholeNumber, type Params } from '@/server/params';
import { route } from '@/server/respond';
import { by } from '@/server/views';

/** What the house of a job answers to its press file, as it was saved under a number. */
export const POST = route<Params<'id'>>(async (request, { params }) => {
  const number = wholeNumber(new URL(request.url).searchParams.get('rev'), 'A revision');
  return answerRevision((await params).id, number, by(request));
});
