import type { Params } from '@/server/params';
import { file } from '@/server/files';
import { adjustOf, conversionOf } from '@/server/picture-query';
import { route } from '@/server/respond';
import { by, pictureInks } from '@/server/views';

/** The inks of a picture at a width, for the plates on the bench. */
export const GET = route<Params<'sha'>>(async (request, { params }) => {
  const query = new URL(request.url).searchParams;
  const wish = {
    sha: (await params).sha,
    conversion: conversionOf(query),
    adjust: adjustOf(query),
    width: Number(query.get('width')),
    blur: Number(query.get('blur') ?? 0),
  };
  return file(await pictureInks(wish, by(request)), 'application/octet-stream', 'forever');
});
