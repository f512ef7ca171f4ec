import type { Params } from '@/server/params';
import { adjustOf, conversionOf } from '@/server/picture-query';
import { route } from '@/server/respond';
import { pictureInkMost } from '@/server/views';

/** The most ink that lies on each other in a picture, percent. */
export const GET = route<Params<'sha'>>(async (request, { params }) => {
  const query = new URL(request.url).searchParams;
  return { most: await pictureInkMost((await params).sha, conversionOf(query), adjustOf(query)) };
});
