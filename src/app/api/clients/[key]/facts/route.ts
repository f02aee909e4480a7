import { PUT_RIGHT } from '../../../../../core/contract/records/puttingRight';
import { putRight, type PuttingRight } from '../../../../../server/clients/putRight';
import { keyFrom } from '../../../../keyFrom';
import { asMember } from '../../../asMember';
import { readJson } from '../../../readJson';

type Context = { params: Promise<{ key: string }> };

const STATUS: Readonly<Record<PuttingRight['result'], number>> = {
  kept: 200,
  gone: 404,
  overtaken: 409,
  wrong: 400,
};

/** Puts facts of a client right. */
export async function PATCH(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const asked = await PUT_RIGHT.validate(await readJson(request, 10_000), { strict: true });
    const { result, ...answer } = await putRight(member, keyFrom((await params).key), asked);
    return Response.json(answer, { status: STATUS[result] });
  });
}
