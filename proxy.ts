import { type NextRequest, NextResponse } from 'next/server';
import { refusalOf } from './server/who-may-call';

const isProduction = process.env.NODE_ENV === 'production';

/** The style sheet that the library of toasts puts into a page by itself, by its content: empty at first (sonner, as pinned). */
const TOAST_STYLES =
  "'sha256-47DEQpj8HBSa+/TImW+5JCeuQeRkm5NMpJWZG3hSuFU=' 'sha256-StEaX+se6YS7pqjzrzMIA0KaX9zF/8zAhvQXZAe5epY='";

/** What a page may load and do: scripts of this build alone, each marked for this answer; nothing from elsewhere. */
const policyOf = (nonce: string): string =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${isProduction ? '' : " 'unsafe-eval'"}`,
    isProduction ? `style-src 'self' 'nonce-${nonce}' ${TOAST_STYLES}` : "style-src 'self' 'unsafe-inline'",
    "style-src-attr 'unsafe-inline'", // where something stands in a chart is an attribute of it
    "img-src 'self' blob: data:",
    "font-src 'self'",
    "worker-src 'self' blob:",
    "connect-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');

const refused = (status: number, message: string): Response =>
  Response.json({ error: { code: status === 403 ? 'forbidden' : 'invalid', message, issues: [] } }, { status });

function isDecodable(url: string): boolean {
  try {
    decodeURIComponent(new URL(url).pathname);
    return true;
  } catch {
    return false;
  }
}

/** Files of the build say nothing of anybody, and a page asks for many of them. */
export const config = { matcher: ['/((?!_next/static/).*)'] };

/** Before every other request: whether whoever calls may, and what the answer may do in a browser. */
export function proxy(request: NextRequest): Response {
  if (!isDecodable(request.url))
    return refused(400, 'The address is not well written: a percent sign stands for nothing.');
  const refusal = refusalOf(request);
  if (refusal) return refused(403, refusal);
  const nonce = crypto.randomUUID();
  const policy = policyOf(nonce);
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('x-path', request.nextUrl.pathname + request.nextUrl.search); // where whoever has to sign in comes back to
  headers.set('content-security-policy', policy); // from here the framework takes the mark for its own scripts
  const answer = NextResponse.next({ request: { headers } });
  answer.headers.set('content-security-policy', policy);
  answer.headers.set('x-content-type-options', 'nosniff');
  answer.headers.set('referrer-policy', 'same-origin');
  answer.headers.set('permissions-policy', 'camera=(self), geolocation=(), microphone=(), payment=(), usb=()');
  return answer;
}
