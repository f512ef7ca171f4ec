import { wholeNumber, type Params } from '@/server/params';
import { route } from '@/server/respond';
import { file } from '@/server/files';
import { by, thumbnail } from '@/server/views';

export const GET = route<Params<'id'>>(async (request, { params }) => {
  const number = wholeNumber(new URL(request.url).searchParams.get('rev'), 'A revision');
  return file(await thumbnail((await params).id, number, by(request)), 'image/png', 'forever');
});
