import { NextResponse, type NextRequest } from 'next/server';
import { refusedFor } from '@/server/admit';
import { Allowance, CODE_COOKIE, hasPass, isCode, passOf } from '@/server/code';

/** Questions of programs, and codes that are typed, by all together. */
const asked = new Allowance(600, 10_000);
const typed = new Allowance(10, 60_000);

/** Another page of this address, by the name it was called by: which one the server listens on says nothing. */
function leadTo(request: NextRequest, path: string, status: 303 | 307): NextResponse {
  const to = new URL(path, request.nextUrl);
  to.host = request.headers.get('host') ?? to.host;
  return NextResponse.redirect(to, { status, headers: { 'Cache-Control': 'no-store' } });
}

/** A device of the local network that has not typed the code yet: it is asked for it, and told nothing else. */
async function codeAsked(request: NextRequest, code: string): Promise<NextResponse | null> {
  const { pathname } = request.nextUrl;
  if (pathname === '/code') {
    if (request.method !== 'POST') return null;
    if (!typed.take(Date.now()))
      return NextResponse.json({ message: 'too many tries; wait a minute' }, { status: 429 });
    const said = new URLSearchParams((await request.text()).slice(0, 200)).get('code') ?? '';
    const right = isCode(said, code);
    const go = leadTo(request, right ? '/' : '/code', 303);
    if (right)
      go.cookies.set(CODE_COOKIE, passOf(code), { httpOnly: true, sameSite: 'strict', maxAge: 30 * 86_400 });
    return go;
  }
  if (hasPass(request.cookies.get(CODE_COOKIE)?.value, code)) return null;
  if (pathname.startsWith('/api/'))
    return NextResponse.json({ message: 'type the code first, at /code' }, { status: 401 });
  return leadTo(request, '/code', 307);
}

/**
 * Turns away who is not to be answered, then gives a fresh nonce for every page. Scripts run only with it; styles may stand inline, since the component library
 * writes them at run time and a style cannot reach another host under this policy.
 */
export async function proxy(request: NextRequest): Promise<NextResponse> {
  const refused = refusedFor(
    { method: request.method, headers: request.headers, path: request.nextUrl.pathname },
    (process.env.RINCON_HOSTS ?? '')
      .toLowerCase()
      .split(/[\s,]+/)
      .filter(Boolean),
  );
  if (refused) return NextResponse.json({ message: refused.message }, { status: refused.status });
  const code = process.env.RINCON_CODE;
  const gate = code ? await codeAsked(request, code) : null;
  if (gate) return gate;
  if (request.nextUrl.pathname.startsWith('/api/') && !asked.take(Date.now()))
    return NextResponse.json(
      { message: 'too many requests; wait a moment' },
      { status: 429, headers: { 'Retry-After': '5' } },
    );
  if (request.nextUrl.pathname === '/code') return NextResponse.next();
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
