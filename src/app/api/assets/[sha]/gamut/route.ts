import type { Params } from '@/server/params';
import { file } from '@/server/files';
import { adjustOf, conversionOf } from '@/server/picture-query';
import { route } from '@/server/respond';
import { by, pictureGamut } from '@/server/views';

/** What of a picture a paper cannot show: in figures, or as a picture to lay over it (`as=png`). */
export const GET = route<Params<'sha'>>(async (request, { params }) => {
  const query = new URL(request.url).searchParams;
  const { sha } = await params;
  const wish = { sha, conversion: conversionOf(query), adjust: adjustOf(query) };
  const { png, share, worst } = await pictureGamut(wish, by(request));
  return query.get('as') === 'png' ? file(png, 'image/png', 'forever') : { share, worst };
});
