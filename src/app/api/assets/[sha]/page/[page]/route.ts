import { beyondOf, wholeNumber, type Params } from '@/server/params';
import { file } from '@/server/files';
import { route } from '@/server/respond';
import { benchPage, by } from '@/server/views';

/** A page of a PDF that was brought in, as a picture for the bench. */
export const GET = route<Params<'sha' | 'page'>>(async (request, { params }) => {
  const { sha, page } = await params;
  const beyond = beyondOf(new URL(request.url).searchParams.get('beyond'));
  return file(await benchPage(sha, wholeNumber(page, 'The page'), beyond, by(request)), 'image/png', 'forever');
});
