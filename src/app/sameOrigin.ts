import { answersTo, appUrl } from './ownAddress';

/** Whether a request that changes something comes from our own pages: the same scheme, host and port. */
export function isSameOrigin(request: Request): boolean {
  const origin = request.headers.get('origin');
  const host = request.headers.get('host');
  if (origin === null || !answersTo(host)) return false;
  const own = appUrl();
  return origin === (own && host!.toLowerCase() === own.host ? own.origin : `http://${host}`);
}

export function refuseOrigin(): Response {
  return Response.json({ error: 'This came from another site and was refused.' }, { status: 403 });
}
