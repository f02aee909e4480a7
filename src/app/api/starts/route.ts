import { isStartingKind } from '../../../core/records/recordKind';
import { listStarts } from '../../../server/listStarts';
import { asMember } from '../asMember';

/** Records of a kind that a letter could start from, for trying a template out: ?kind=invoice&find=words */
export async function GET(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const asked = new URL(request.url).searchParams;
    const kind = asked.get('kind') ?? '';
    if (!isStartingKind(kind)) return Response.json({ error: 'There are no such records.' }, { status: 400 });
    return Response.json(await listStarts(member, kind, asked.get('find') ?? ''));
  });
}
