import type { Params } from '@/server/params';
import { file } from '@/server/files';
import { adjustOf, conversionOf } from '@/server/picture-query';
import { route } from '@/server/respond';
import { benchPicture, by } from '@/server/views';

export const GET = route<Params<'sha'>>(async (request, { params }) => {
  const query = new URL(request.url).searchParams;
  const { sha } = await params;
  const wish = { sha, conversion: conversionOf(query), adjust: adjustOf(query) };
  const { bytes, type } = await benchPicture(wish, by(request));
  return file(bytes, type, 'forever');
});
