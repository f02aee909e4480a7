import { putBack, throwAway } from '../../../../../server/templates/trash';
import { keyFrom } from '../../../../keyFrom';
import { asMember } from '../../../asMember';
import { CHANGE_STATUS } from '../../../changeStatus';

type Context = { params: Promise<{ key: string }> };

/** Puts a template into the trash. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const answer = await throwAway(member, keyFrom((await params).key));
    return Response.json(answer, { status: CHANGE_STATUS[answer.result] });
  });
}

/** Puts it back where it stood. */
export async function DELETE(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const answer = await putBack(member, keyFrom((await params).key));
    return Response.json(answer, { status: CHANGE_STATUS[answer.result] });
  });
}
