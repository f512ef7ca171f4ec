import { z } from 'zod';
import { download } from '@/server/files';
import { printedReply } from '@/server/intake';
import { unclear } from '@/server/problems';
import { readJson, route } from '@/server/respond';

const words = (most: number) => z.string().max(most);

/** A reply in words, as the page has it; pictures as addresses that hold them. */
const ReplyBody = z.strictObject({
  house: words(200),
  file: words(255),
  answer: words(60),
  facts: words(120),
  day: words(20),
  lines: z
    .array(
      z.strictObject({
        weight: words(20),
        title: words(200),
        found: words(600),
        wish: words(600),
        place: words(200),
        picture: words(1_000_000),
      }),
    )
    .max(200),
});

/** A reply as a page to print or to send: PDF. */
export const POST = route(async (request) => {
  const body = ReplyBody.safeParse(await readJson(request));
  if (!body.success) throw unclear.reply();
  return download(await printedReply(body.data, request.signal), 'application/pdf', 'reply.pdf');
});
