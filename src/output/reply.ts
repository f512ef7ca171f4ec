import { createHash } from 'node:crypto';
import { replySheet, type ReplySheet } from '../core/paperwork';
import { readPicture } from '../bring-in/picture';
import { pagesPdf } from './paperwork';

/** A reply with the bytes of its pictures instead of what is known of them. */
export type ReplyWords = Omit<ReplySheet, 'lines'> & {
  readonly lines: readonly (Omit<ReplySheet['lines'][number], 'picture'> & { readonly png?: Uint8Array | undefined })[];
};

/** A house’s reply as a page: PDF. */
export async function replyPdf(reply: ReplyWords, at: Date): Promise<Uint8Array> {
  const files = new Map<string, Uint8Array>();
  const lines = await Promise.all(
    reply.lines.map(async ({ png, ...line }) => {
      if (!png) return line;
      const sha = createHash('sha256').update(png).digest('hex');
      const read = await readPicture('place.png', png);
      if (!read.ok) return line;
      files.set(sha, png);
      return { ...line, picture: { sha, asset: read.picture } };
    }),
  );
  const job = replySheet({ ...reply, lines });
  return pagesPdf(job, at, files);
}
