import { copyTemplate } from '../../../../../server/templates/makeTemplate';
import { keyFrom } from '../../../../keyFrom';
import { asMember } from '../../../asMember';
import { CHANGE_STATUS } from '../../../changeStatus';

type Context = { params: Promise<{ key: string }> };

/** Copies a template, beside itself. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const answer = await copyTemplate(member, keyFrom((await params).key));
    return Response.json(answer, { status: CHANGE_STATUS[answer.result] });
  });
}
