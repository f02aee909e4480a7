import { versionsOfTemplate } from '../../../../../server/templates/versions';
import { keyFrom } from '../../../../keyFrom';
import { asMember } from '../../../asMember';

type Context = { params: Promise<{ key: string }> };

/** The versions of a template, the last first. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const versions = await versionsOfTemplate(member, keyFrom((await params).key));
    return versions
      ? Response.json(versions)
      : Response.json({ error: 'This template is no longer there.' }, { status: 404 });
  });
}
