import { type NextRequest, NextResponse } from 'next/server';
import { refusalOf } from './server/who-may-call';

const isProduction = process.env.NODE_ENV === 'production';

/** What a page may load and do: scripts of this build alone, each marked for this answer; nothing from elsewhere. */
const policyOf = (nonce: string): string =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${isProduction ? '' : " 'unsafe-eval'"}`,
    // Libraries of toasts, charts and menus set styles at run time.
    "style-src 'self' 'unsafe-inline'",
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

/** Before every request: whether whoever calls may, and what the answer may do in a browser. */
export function proxy(request: NextRequest): Response {
  if (!isDecodable(request.url))
    return refused(400, 'The address is not well written: a percent sign stands for nothing.');
  const refusal = refusalOf(request);
  if (refusal) return refused(403, refusal);
  const nonce = crypto.randomUUID();
  const policy = policyOf(nonce);
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy); // from here the framework takes the mark for its own scripts
  const answer = NextResponse.next({ request: { headers } });
  answer.headers.set('content-security-policy', policy);
  answer.headers.set('x-content-type-options', 'nosniff');
  answer.headers.set('referrer-policy', 'same-origin');
  answer.headers.set('permissions-policy', 'camera=(self), geolocation=(), microphone=(), payment=(), usb=()');
  return answer;
}
