import { lettersOut } from '../../../../../server/letters/lettersOut';
import { keyFrom } from '../../../../keyFrom';
import { asMember } from '../../../asMember';
import { streamed } from '../../../streamed';

type Context = { params: Promise<{ key: string }> };

const TYPES = { mbox: 'application/mbox', zip: 'application/zip' } as const;

/** All letters of a client, out and in: ?as=mbox (RFC 4155), or zip. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const form = new URL(request.url).searchParams.get('as') === 'zip' ? 'zip' : 'mbox';
    const key = keyFrom((await params).key);
    const letters = await lettersOut(member, key, form);
    if (!letters) return Response.json({ error: 'There is no such client.' }, { status: 404 });
    return streamed(letters, `letters-${key.replace(/[^a-z0-9-]/gi, '')}.${form}`, TYPES[form]);
  });
}
