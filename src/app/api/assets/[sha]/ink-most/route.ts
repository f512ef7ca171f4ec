import type { Params } from '@/server/params';
import { adjustOf, conversionOf } from '@/server/picture-query';
import { route } from '@/server/respond';
import { by, pictureInkMost } from '@/server/views';

/** The most ink that lies on each other in a picture, percent. */
export const GET = route<Params<'sha'>>(async (request, { params }) => {
  const query = new URL(request.url).searchParams;
  const { sha } = await params;
  const wish = { sha, conversion: conversionOf(query), adjust: adjustOf(query) };
  return { most: await pictureInkMost(wish, by(request)) };
});
