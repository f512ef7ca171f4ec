import type { Params } from '@/server/params';
import { file } from '@/server/files';
import { adjustOf, conversionOf } from '@/server/picture-query';
import { route } from '@/server/respond';
import { benchPicture } from '@/server/views';

export const GET = route<Params<'sha'>>(async (request, { params }) => {
  const query = new URL(request.url).searchParams;
  const { bytes, type } = await benchPicture((await params).sha, conversionOf(query), adjustOf(query));
  return file(bytes, type, 'forever');
});
