import type { Params } from '@/server/params';
import { route } from '@/server/respond';
import { by, pictureShapes } from '@/server/views';

/** The outlines of the shapes in a picture. */
export const GET = route<Params<'sha'>>(async (request, { params }) => {
  const query = new URL(request.url).searchParams;
  return pictureShapes((await params).sha, query.get('by'), Number(query.get('threshold')), by(request));
});
