import { NextResponse, type NextRequest } from 'next/server';
import { refusedFor } from '@/server/admit';

/**
 * A fresh nonce for every page. Scripts run only with it; styles may stand inline, since the component library
 * writes them at run time and a style cannot reach another host under this policy.
 */
export function proxy(request: NextRequest): NextResponse {
  const refused = refusedFor(
    { method: request.method, headers: request.headers, path: request.nextUrl.pathname },
    (process.env.RINCON_HOSTS ?? '')
      .toLowerCase()
      .split(/[\s,]+/)
      .filter(Boolean),
  );
  if (refused) return NextResponse.json({ message: refused.message }, { status: refused.status });
  const nonce = btoa(crypto.randomUUID());
  const develop = process.env.NODE_ENV === 'development';
  const policy = [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic' 'wasm-unsafe-eval'${develop ? " 'unsafe-eval'" : ''}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "font-src 'self'",
    `connect-src 'self'${develop ? ' ws:' : ''}`,
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');

  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('Content-Security-Policy', policy);
  return response;
}

export const config = {
  matcher: [{ source: '/((?!_next/static|_next/image|icon.svg|schema/|solver/|recover).*)' }],
};
