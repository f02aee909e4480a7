import { makeFirst } from '../../../../../server/templates/actTemplates';
import { keyFrom } from '../../../../keyFrom';
import { asMember } from '../../../asMember';

type Context = { params: Promise<{ key: string }> };

/** Makes a template the first of its act. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const answer = await makeFirst(member, keyFrom((await params).key));
    if (!answer)
      return Response.json({ error: 'This template belongs to no act of the work.' }, { status: 404 });
    return Response.json(answer);
  });
}
