/** Whether a request that changes something comes from our own pages. */
export function isSameOrigin(request: Request): boolean {
  const origin = request.headers.get('origin');
  const host = request.headers.get('host');
  return origin !== null && host !== null && URL.canParse(origin) && new URL(origin).host === host;
}

export function refuseOrigin(): Response {
  return Response.json({ error: 'This came from another site and was refused.' }, { status: 403 });
}
