import { clientParts } from '../../../../../server/records/clientParts';
import { keyFrom } from '../../../../keyFrom';
import { asMember } from '../../../asMember';

type Context = { params: Promise<{ key: string }> };

/** What of a client's a record of theirs can name. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const parts = await clientParts(member, keyFrom((await params).key));
    return parts
      ? Response.json(parts)
      : Response.json({ error: 'There is no such client.' }, { status: 404 });
  });
}
