import { NextResponse, type NextRequest } from 'next/server';
import { guardRequest, securityHeaders } from './server/guard';

/** Every request passes here: foreign hosts and oversized bodies are refused, headers are set. */
export function proxy(request: NextRequest) {
  const refusal = guardRequest({
    host: request.headers.get('host'),
    contentLength: request.headers.get('content-length'),
    path: request.nextUrl.pathname,
    allowedHosts: process.env.ZORVEK_ALLOWED_HOSTS,
  });
  if (refusal)
    return new NextResponse(refusal.text, {
      status: refusal.status,
      headers: { 'content-type': 'text/plain; charset=utf-8' },
    });

  const nonce = btoa(crypto.randomUUID());
  const headers = securityHeaders(nonce, process.env.NODE_ENV !== 'production');
  const forwarded = new Headers(request.headers);
  forwarded.set('x-nonce', nonce);
  forwarded.set('content-security-policy', headers['content-security-policy']);
  const response = NextResponse.next({ request: { headers: forwarded } });
  for (const [name, value] of Object.entries(headers)) response.headers.set(name, value);
  return response;
}

export const config = { matcher: [{ source: '/((?!_next/static|icon.svg).*)' }] };
