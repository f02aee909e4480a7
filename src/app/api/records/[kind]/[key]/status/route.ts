import { CHANGE_STATUS, isStatusOf } from '../../../../../../core/contract/records/status';
import { STATUS_KINDS, type StatusKind } from '../../../../../../core/occasions/statusAfter';
import { changeStatus } from '../../../../../../server/records/changeStatus';
import { keyFrom } from '../../../../../keyFrom';
import { asMember } from '../../../../asMember';
import { readJson } from '../../../../readJson';
import { Refused } from '../../../../refused';
import { noSuchKind } from '../../../recordRoutes';

type Context = { params: Promise<{ kind: string; key: string }> };

/** Changes how a record stands, in one press after a letter about it. */
export async function PATCH(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const { kind, key } = await params;
    if (!isStatusKind(kind)) return noSuchKind();
    const change = await CHANGE_STATUS.validate(await readJson(request, 500), { strict: true });
    if (!isStatusOf(kind, change.to)) throw new Refused('A record of this kind cannot stand so.', 400);
    const answer = await changeStatus(member, { kind, key: keyFrom(key) }, change);
    if (!answer) return Response.json({ error: 'There is no such record.' }, { status: 404 });
    if (answer.changed) return Response.json({});
    const error = `Somebody has changed it meanwhile: it is “${answer.status}” now.`;
    return Response.json({ error }, { status: 409 });
  });
}

function isStatusKind(kind: string): kind is StatusKind {
  return (STATUS_KINDS as readonly string[]).includes(kind);
}
