import { factsForWriting } from '../../../server/writing/factsForWriting';
import { readStartingPoint } from '../../../core/records/which/readStartingPoint';
import { asMember } from '../asMember';

/** What a letter from a record is written from: ?from=invoice:LPC-1048&template=first-reminder&edition=… */
export async function GET(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const { searchParams } = new URL(request.url);
    const start = readStartingPoint(searchParams.get('from'));
    const template = searchParams.get('template') ?? undefined;
    const edition = searchParams.get('edition') ?? undefined;
    const reply = searchParams.get('reply') ?? undefined;
    const facts = start && (await factsForWriting(member, start, { template, edition, reply }));
    if (!facts) return Response.json({ error: 'There is no such record.' }, { status: 404 });
    return Response.json(facts, { headers: { 'cache-control': 'no-store' } });
  });
}
