import { writeOn } from '../../../../../server/sending/writeOn';
import { asMember } from '../../../asMember';

type Context = { params: Promise<{ id: string }> };

/** Takes a letter for later out of what is to go, and gives what it was written with. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const answer = await writeOn(member, (await params).id);
    const error = 'There is no such letter to be written on: it has gone, or is on its way.';
    return answer ? Response.json(answer) : Response.json({ error }, { status: 404 });
  });
}
