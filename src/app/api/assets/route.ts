import { MAX_ASSET_BYTES } from '@/bring-in/asset';
import { addIncoming } from '@/server/assets';
import { withIncoming } from '@/server/incoming';
import { route } from '@/server/respond';
import { unclear } from '@/server/problems';

/** Takes in a picture or a font: the body is the file, `?name=` its name. */
export const POST = route(async (request) => {
  const name = new URL(request.url).searchParams.get('name')?.slice(0, 255);
  if (!name) throw unclear.noName();
  return withIncoming(request, MAX_ASSET_BYTES, (file) => addIncoming(name, file, request.signal));
});
