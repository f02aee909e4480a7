/** An id as it stands in an address; undefined where it is none. */
export function idFrom(segment: string): string | undefined {
  return /^[\da-f]{8}-(?:[\da-f]{4}-){3}[\da-f]{12}$/i.test(segment) ? segment : undefined;
}

export const NO_SUCH_FILE = () =>
  Response.json({ error: 'There is no such file. Begin again with it.' }, { status: 404 });
