import { attachment } from '../../../../../../server/letters/attachment';
import { asMember } from '../../../../asMember';
import { download } from '../../../../download';

/** A file that went along with a letter, as it was then. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string; position: string }> },
): Promise<Response> {
  return asMember(request, async (member) => {
    const { id, position } = await params;
    return download(await attachment(member, id, position), 'Nothing of that place went along.');
  });
}
