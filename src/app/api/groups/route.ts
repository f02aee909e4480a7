import { GROUP_ORDER, NEW_GROUP } from '../../../core/contract/groups';
import { arrangeGroups, makeGroup } from '../../../server/templates/changeGroups';
import { asMember } from '../asMember';
import { readJson } from '../readJson';
import { CHANGE_STATUS } from '../changeStatus';

/** Makes a group. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const group = await NEW_GROUP.validate(await readJson(request, 2_000), {
      strict: true,
      abortEarly: false,
    });
    const answer = await makeGroup(member, group);
    return Response.json(answer, { status: CHANGE_STATUS[answer.result] });
  });
}

/** Puts the groups in an order. */
export async function PUT(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const { order } = await GROUP_ORDER.validate(await readJson(request, 60_000), { strict: true });
    await arrangeGroups(member, order);
    return Response.json({});
  });
}
