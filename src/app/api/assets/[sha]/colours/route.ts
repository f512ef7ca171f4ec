import type { Params } from '@/server/params';
import { route } from '@/server/respond';
import { by, pictureColours } from '@/server/views';

/** The colours that make up a picture; with `x` and `y` (shares of it) that of one pixel. */
export const GET = route<Params<'sha'>>(async (request, { params }) => {
  const query = new URL(request.url).searchParams;
  const [x, y] = [query.get('x'), query.get('y')];
  const at = x !== null && y !== null ? ([Number(x), Number(y)] as const) : undefined;
  return { colours: await pictureColours((await params).sha, at, by(request)) };
});
