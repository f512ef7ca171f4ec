import { MAX_ASSET_BYTES } from '@/bring-in/asset';
import { withIncoming } from '@/server/incoming';
import { answerIncoming } from '@/server/intake';
import { route } from '@/server/respond';

/** Has a PDF looked at by a print house: the body is the file, `?printer=` a printer of the books. Nothing is kept. */
export const POST = route(async (request) => {
  const printer = new URL(request.url).searchParams.get('printer') ?? '';
  return withIncoming(request, MAX_ASSET_BYTES, (file) => answerIncoming(file, printer, request.signal));
});
