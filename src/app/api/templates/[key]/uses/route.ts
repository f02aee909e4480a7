import { usesOfTemplate } from '../../../../../server/templates/trash';
import { keyFrom } from '../../../../keyFrom';
import { asMember } from '../../../asMember';

type Context = { params: Promise<{ key: string }> };

/** What depends on a template. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const uses = await usesOfTemplate(member, keyFrom((await params).key));
    return uses
      ? Response.json(uses)
      : Response.json({ error: 'This template is no longer there.' }, { status: 404 });
  });
}
