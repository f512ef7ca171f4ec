import 'server-only';
import { subscribe } from 'node:diagnostics_channel';
import type { IncomingMessage } from 'node:http';

/** Whether the percent signs of an address stand for characters. */
function isWritten(address: string): boolean {
  try {
    decodeURIComponent(address);
    return true;
  } catch {
    return false;
  }
}

/**
 * Leads addresses that no one can have written to where nothing is, before the framework reads them: it answers 500 to
 * those.
 */
export function turnAwayBrokenAddresses(): void {
  subscribe('http.server.request.start', (message) => {
    const { request } = message as { readonly request: IncomingMessage };
    const [path = '', query] = (request.url ?? '').split(/\?(.*)/s);
    if (!isWritten(path)) request.url = path.startsWith('/api/') ? '/api/nothing' : '/nothing';
    else if (query !== undefined && !isWritten(query)) request.url = path;
  });
}
