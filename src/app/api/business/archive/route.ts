import { archiveOf } from '../../../../server/archive/archiveOf';
import { asMember } from '../../asMember';
import { streamed } from '../../streamed';

/** The whole business as a zip, for an owner: made while it is read. */
export async function GET(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const { name, content } = await archiveOf(member);
    return streamed(content, name, 'application/zip');
  });
}
