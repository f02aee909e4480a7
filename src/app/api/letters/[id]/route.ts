import { oneLetter } from '../../../../server/oneLetter';
import { asMember } from '../../asMember';

type Context = { params: Promise<{ id: string }> };

/** What has become of a letter. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const letter = await oneLetter(member, (await params).id);
    if (!letter) return Response.json({ error: 'There is no such letter.' }, { status: 404 });
    const { status, reason, goes_at } = letter;
    return Response.json({ status, reason, goesAt: goes_at }, { headers: { 'cache-control': 'no-store' } });
  });
}
