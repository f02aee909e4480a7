import { takeBackLetter } from '../../../../../server/sending/takeBackLetter';
import { asMember } from '../../../asMember';

type Context = { params: Promise<{ id: string }> };

/** Takes a letter back that has not gone yet. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const answer = await takeBackLetter(member, (await params).id);
    if (!answer) return Response.json({ error: 'There is no such letter.' }, { status: 404 });
    const { status, taken } = answer;
    return Response.json({ status }, { status: taken || status === 'taken back' ? 200 : 409 });
  });
}
