import 'server-only';
import { NextResponse } from 'next/server';
import { isOwnHost, isOwnOrigin } from './hosts';
import { Problem } from './problem';

type Handler<C> = (request: Request, context: C) => Promise<unknown>;

/**
 * Wraps a route: checks who asks, answers results as JSON, and every error in one shape:
 * `{ error: { message, todo, details } }`.
 */
export function route<C>(handler: Handler<C>): (request: Request, context: C) => Promise<Response> {
  return async (request, context) => {
    try {
      guard(request);
      const result = await handler(request, context);
      return result instanceof Response ? result : NextResponse.json(result ?? {});
    } catch (error) {
      if (error instanceof Problem) return answer(error);
      console.error(error);
      return answer(
        new Problem(
          500,
          'Something went wrong here.',
          'Nothing was lost. Try again; if it stays, look at the server’s output.',
        ),
      );
    }
  };
}

const answer = ({ status, message, todo, details }: Problem): Response =>
  NextResponse.json({ error: { message, todo, details } }, { status });

function guard(request: Request): void {
  const host = request.headers.get('host');
  if (!isOwnHost(host))
    throw new Problem(421, 'This address is not this server’s.', 'Open it as localhost or 127.0.0.1.');
  if (request.method !== 'GET' && !isOwnOrigin(request.headers.get('origin'), host)) {
    throw new Problem(
      403,
      'This request came from another site.',
      'Open Yellow Sheet in its own window and try again.',
    );
  }
}

/** Longest that nothing may come of a body, and that all of it may take, ms. */
const STALLED = 15_000;
const BODY_TIME = 600_000;

/** A promise, or a refusal when it takes longer than so many ms. */
async function within<T>(promise: Promise<T>, ms: number, refusal: () => Problem): Promise<T> {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(refusal()), ms);
  });
  try {
    return await Promise.race([promise, late]);
  } finally {
    clearTimeout(timer);
  }
}

/** Reads a body up to a size and a time; what is longer, or does not come, is refused before it is stored. */
export async function readBody(request: Request, most: number): Promise<Uint8Array> {
  const tooLarge = () =>
    new Problem(413, 'This is larger than can be taken in.', `Send at most ${Math.floor(most / 1024 / 1024)} MB.`);
  const tooSlow = () =>
    new Problem(
      408,
      'The rest of this did not arrive.',
      'Nothing was changed. Look at the connection and send it again.',
    );
  if (Number(request.headers.get('content-length') ?? 0) > most) throw tooLarge();
  if (!request.body) return new Uint8Array();
  const reader = request.body.getReader();
  const until = Date.now() + BODY_TIME;
  const parts: Uint8Array[] = [];
  let size = 0;
  try {
    for (;;) {
      const { done, value } = await within(reader.read(), Math.min(STALLED, until - Date.now()), tooSlow);
      if (done) break;
      size += value.length;
      if (size > most) throw tooLarge();
      parts.push(value);
    }
  } catch (error) {
    // Not waited for: who sends nothing may not answer either.
    void reader.cancel().catch(() => undefined);
    throw error;
  }
  return Buffer.concat(parts);
}

export const MAX_JSON_BYTES = 64 * 1024 * 1024;

export async function readJson(request: Request): Promise<unknown> {
  const bytes = await readBody(request, MAX_JSON_BYTES);
  try {
    return JSON.parse(Buffer.from(bytes).toString('utf8'));
  } catch {
    throw new Problem(400, 'The request is not JSON.', 'Reload the page and try again.');
  }
}
