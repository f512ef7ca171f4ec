import { wholeNumber, type Params } from '@/server/params';
import { route } from '@/server/respond';
import { by, findingsOf } from '@/server/views';

export const GET = route<Params<'id'>>(async (request, { params }) => {
  const number = wholeNumber(new URL(request.url).searchParams.get('rev'), 'A revision');
  return { findings: await findingsOf((await params).id, number, by(request)) };
});
