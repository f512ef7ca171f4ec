import 'server-only';

const sniffing = { 'x-content-type-options': 'nosniff' };

/** Bytes as an answer; `forever` for what is named by its contents. */
export const file = (bytes: Uint8Array, type: string, keep: 'forever' | 'never'): Response =>
  new Response(Buffer.from(bytes), {
    headers: {
      ...sniffing,
      'content-type': type,
      'content-length': String(bytes.length),
      'cache-control': keep === 'forever' ? 'private, max-age=31536000, immutable' : 'no-store',
    },
  });

/** Bytes that the browser saves under a name. */
export const download = (bytes: Uint8Array, type: string, name: string): Response =>
  new Response(Buffer.from(bytes), {
    headers: {
      ...sniffing,
      'content-type': type,
      'content-length': String(bytes.length),
      'content-disposition': `attachment; filename="${name.replace(/[^\w.-]/g, '_')}"`,
      'cache-control': 'no-store',
    },
  });
