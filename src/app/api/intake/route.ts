import { MAX_ASSET_BYTES } from '@/bring-in/asset';
import { withIncoming } from '@/server/incoming';
import { answerIncoming } from '@/server/intake';
import { orderIn } from '@/server/order-in';
import { route } from '@/server/respond';

/**
 * Has a PDF looked at by a print house: the body is the file, `?printer=` a printer of the books, beside it what was
 * ordered. Nothing is kept.
 */
export const POST = route(async (request) => {
  const { searchParams } = new URL(request.url);
  const order = orderIn(searchParams);
  const printer = searchParams.get('printer') ?? '';
  return withIncoming(request, MAX_ASSET_BYTES, (file) => answerIncoming(file, printer, order, request.signal));
});
