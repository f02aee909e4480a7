import { Readable } from 'node:stream';
import { archiveOf } from '../../../../server/archive/archiveOf';
import { asMember } from '../../asMember';

/** The whole business as a zip, for an owner: made while it is read. */
export async function GET(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const { name, content } = await archiveOf(member);
    return new Response(Readable.toWeb(content) as ReadableStream, {
      headers: {
        'content-type': 'application/zip',
        'content-disposition': `attachment; filename="${name}"`,
        'x-content-type-options': 'nosniff',
      },
    });
  });
}
