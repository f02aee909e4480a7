/** What a record's form sends is at most so long, in bytes. */
export const MOST_OF_A_RECORD = 500_000;

export function noSuchKind(): Response {
  return Response.json({ error: 'There are no such records.' }, { status: 404 });
}
