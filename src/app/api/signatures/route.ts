import { NEW_SIGNATURE } from '../../../core/contract/signatures';
import { makeSignature } from '../../../server/templates/signatures';
import { asMember } from '../asMember';
import { NAMED_STATUS } from '../namedStatus';
import { readJson } from '../readJson';

/** Makes a signature. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const signature = await NEW_SIGNATURE.validate(await readJson(request, 2_000), { strict: true });
    const answer = await makeSignature(member, signature);
    return Response.json(answer, { status: NAMED_STATUS[answer.result] });
  });
}
