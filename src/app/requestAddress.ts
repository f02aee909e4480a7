/** Where a request comes from, as the server in front of this one says. */
export function requestAddress(request: Request): string {
  return request.headers.get('x-forwarded-for')?.split(',').at(-1)?.trim() || 'unknown';
}
