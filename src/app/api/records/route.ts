import { fewRecords, recordsPage } from '../../../server/records/recordsPage';
import { asMember } from '../asMember';

/** Clients with all that is theirs, some at a time: ?after=key for those that follow one, ?few for all where they are few. */
export async function GET(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const asked = new URL(request.url).searchParams;
    const after = asked.get('after') ?? '';
    if (after.length > 200 || after.includes('\0'))
      return Response.json({ error: 'There is no such client.' }, { status: 400 });
    const page = asked.has('few') ? await fewRecords(member) : await recordsPage(member, after);
    return Response.json(page, { headers: { 'cache-control': 'no-store' } });
  });
}
