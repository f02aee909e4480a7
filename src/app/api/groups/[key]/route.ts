import { GROUP_CHANGE, GROUP_REMOVAL } from '../../../../core/contract/groups';
import { changeGroup, removeGroup } from '../../../../server/templates/changeGroups';
import { keyFrom } from '../../../keyFrom';
import { asMember } from '../../asMember';
import { readJson } from '../../readJson';
import { CHANGE_STATUS } from '../../changeStatus';

type Context = { params: Promise<{ key: string }> };

/** Changes what a group is called and looks like. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const change = await GROUP_CHANGE.validate(await readJson(request, 2_000), {
      strict: true,
      abortEarly: false,
    });
    const answer = await changeGroup(member, keyFrom((await params).key), change);
    return Response.json(answer, { status: CHANGE_STATUS[answer.result] });
  });
}

/** Removes a group; what stands in it goes to another, or to none. */
export async function DELETE(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const removal = await GROUP_REMOVAL.validate(await readJson(request, 2_000), { strict: true });
    const answer = await removeGroup(member, keyFrom((await params).key), removal);
    return Response.json(answer, { status: CHANGE_STATUS[answer.result] });
  });
}
