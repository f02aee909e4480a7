import { keepFile } from '../../../../../../server/incoming/keepFile';
import { attachment } from '../../../../../../server/letters/attachment';
import { asMember } from '../../../../asMember';
import { download } from '../../../../download';

const STATUS = { done: 201, wrong: 422, gone: 404 } as const;

/** Keeps a file that came with a message with its job or client. */
export async function POST(
  request: Request,
  { params }: { params: Promise<{ id: string; position: string }> },
): Promise<Response> {
  return asMember(request, async (member) => {
    const { id, position } = await params;
    const answer = await keepFile(member, id, position);
    return Response.json(answer, { status: STATUS[answer.result] });
  });
}

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
