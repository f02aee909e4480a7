import { SIGNING_ACT } from '../../../../core/contract/signing';
import { actOnSigning } from '../../../../server/accounts/signing';
import { keyFrom } from '../../../keyFrom';
import { asMember } from '../../asMember';
import { readJson } from '../../readJson';

type Context = { params: Promise<{ domain: string }> };

const STATUS = { done: 200, looked: 200, wrong: 400, gone: 404 } as const;

/** Makes the key with which letters from a domain are signed, looks for its line, or takes it out. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const { act } = await SIGNING_ACT.validate(await readJson(request, 1_000), { strict: true });
    const answer = await actOnSigning(member, keyFrom((await params).domain), act);
    return Response.json(answer, { status: STATUS[answer.result] });
  });
}
