import { NextResponse, type NextRequest } from 'next/server';
import { contentSecurityPolicy } from './app/contentSecurityPolicy';
import { answersTo, isUnderTls } from './app/ownAddress';

/** Refuses what was meant for another host, and gives every page its own nonce, without which no script runs. */
export function proxy(request: NextRequest): NextResponse {
  if (!answersTo(request.headers.get('host')))
    return new NextResponse(
      'This application does not answer to that name. Set APP_URL to the address people open.',
      {
        status: 421,
      },
    );
  if (!isReadable(request.nextUrl.pathname))
    return NextResponse.json({ error: 'This address cannot be read.' }, { status: 400 });
  // A letter's own page and a business's public form have stricter policies of their own.
  if (/^\/(?:letter-html|ask)\//.test(request.nextUrl.pathname)) return NextResponse.next();
  const nonce = btoa(crypto.randomUUID());
  const policy = contentSecurityPolicy(nonce, process.env.NODE_ENV === 'development');
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  // Where to come back to after signing in.
  headers.set('x-path', request.nextUrl.pathname + request.nextUrl.search);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  response.headers.set('referrer-policy', 'same-origin');
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('cross-origin-opener-policy', 'same-origin');
  response.headers.set('permissions-policy', 'camera=(), geolocation=(), microphone=(), payment=(), usb=()');
  if (isUnderTls()) response.headers.set('strict-transport-security', 'max-age=31536000');
  return response;
}

/** Whether an address is UTF-8 under its percent signs (RFC 3986, 2.5) and has no NUL in it. */
function isReadable(path: string): boolean {
  try {
    return !decodeURIComponent(path).includes('\0');
  } catch {
    return false;
  }
}

export const config = {
  // Built assets need no policy; pictures and files that are brought in must not pass through here, as it cuts large bodies.
  matcher: [
    '/((?!_next/static|_next/image|favicon.ico|offline.html|api/pictures$|api/files$|api/templates/foreign$|api/templates/brought$|api/record-files$|api/along$).*)',
  ],
};
