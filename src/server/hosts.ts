/** Names under which this computer speaks to itself, and those that were allowed by hand. */
const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];

const extra = (): readonly string[] => (process.env['YS_HOSTS'] ?? '').split(',').filter(Boolean);

/** Whether a Host header names this server; anything else is another site’s page reaching in. */
export function isOwnHost(host: string | null): boolean {
  const name = host?.replace(/:\d+$/, '') ?? '';
  return [...LOOPBACK, ...extra()].includes(name);
}

/** Whether a write comes from a page of this server: its origin has to be the very host it is sent to. */
export function isOwnOrigin(origin: string | null, host: string | null): boolean {
  if (!origin || !host || !isOwnHost(host)) return false;
  return origin === `http://${host}` || origin === `https://${host}`;
}
