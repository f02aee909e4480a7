import { factsForWriting } from '../../../server/factsForWriting';
import { readStartingPoint } from '../../startingPoint';
import { asMember } from '../asMember';

/** What a letter from a record is written from. */
export async function GET(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const start = readStartingPoint(new URL(request.url).searchParams.get('from'));
    const facts = start && (await factsForWriting(member, start));
    if (!facts) return Response.json({ error: 'There is no such record.' }, { status: 404 });
    return Response.json(facts, { headers: { 'cache-control': 'no-store' } });
  });
}
