import { isListedKind } from '../../../../core/records/recordKind';
import { findRecords, listRecords } from '../../../../server/lists/listRecords';
import { asMember } from '../../asMember';

type Context = { params: Promise<{ kind: string }> };

/** A list of records: ?after=place for what follows, ?find=words for those that have them. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const { kind } = await params;
    if (!isListedKind(kind)) return Response.json({ error: 'There are no such records.' }, { status: 404 });
    const asked = new URL(request.url).searchParams;
    const find = asked.get('find');
    if (find !== null) return Response.json(await findRecords(member, kind, find.slice(0, 200)));
    const after = asked.get('after') ?? undefined;
    return Response.json(await listRecords(member, kind, after));
  });
}
