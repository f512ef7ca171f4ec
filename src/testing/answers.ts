/** What was asked of the server. */
export interface Asked {
  readonly method: string;
  readonly path: string;
  readonly body: unknown;
}

/**
 * A server that answers from a table, by method and path: `POST /api/jobs`, or the path alone for what is read. What it
 * does not know it answers with 404.
 * @returns what is asked of it, in order
 */
export function answering(table: Readonly<Record<string, unknown>>): readonly Asked[] {
  const asked: Asked[] = [];
  globalThis.fetch = (address, init) => {
    const path = typeof address === 'string' ? address : address instanceof URL ? address.pathname : address.url;
    const method = init?.method ?? 'GET';
    const body = typeof init?.body === 'string' ? (JSON.parse(init.body) as unknown) : undefined;
    asked.push({ method, path, body });
    const key = method === 'GET' ? path : `${method} ${path}`;
    const found = table[key];
    const answer = found ?? { error: { message: 'There is no such thing.', todo: 'Reload the page.' } };
    return Promise.resolve(
      new Response(JSON.stringify(answer), {
        status: found === undefined ? 404 : 200,
        headers: { 'content-type': 'application/json' },
      }),
    );
  };
  return asked;
}

/** An export as the server tells of it: done, with one file. */
export const exportMade = (more: object = {}): object => ({
  id: 'e1',
  revision: 1,
  kind: 'press',
  state: 'done',
  share: 1,
  step: 'Done',
  problem: null,
  files: [{ name: 'flyer-press.pdf', type: 'application/pdf', bytes: 20_480 }],
  at: '2026-11-29T09:00:00.000Z',
  left: null,
  ...more,
});
