import { NextResponse, type NextRequest } from 'next/server';
import { isOwnHost } from '@/server/hosts';

/** Every page carries a strict content security policy with a nonce of its own. */
export function proxy(request: NextRequest): NextResponse {
  if (!isOwnHost(request.headers.get('host'))) {
    const error = {
      message: 'This address is not this server’s.',
      todo: 'Open it as localhost or 127.0.0.1.',
      details: {},
    };
    return NextResponse.json({ error }, { status: 421 });
  }
  const nonce = btoa(crypto.randomUUID());
  const isDev = process.env.NODE_ENV === 'development';
  const policy = [
    "default-src 'none'",
    // WebAssembly shapes the type and converts the colour.
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic' 'wasm-unsafe-eval'${isDev ? " 'unsafe-eval'" : ''}`,
    `style-src-elem 'self' 'nonce-${nonce}'`,
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "font-src 'self'",
    `connect-src 'self'${isDev ? ' ws:' : ''}`,
    "worker-src 'self' blob:",
    "manifest-src 'self'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  return response;
}

// Answers of the interface for programs pass it by: what comes before a handler would hold back its body until all of
// it is there. Their host is looked at by `route`, their headers stand in next.config.ts.
export const config = { matcher: ['/((?!api/|_next/static|_next/image).*)'] };
