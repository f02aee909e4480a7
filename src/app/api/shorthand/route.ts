import { NEW_SHORTHAND } from '../../../core/contract/shorthand';
import { makeShorthand } from '../../../server/templates/shorthand';
import { asMember } from '../asMember';
import { NAMED_STATUS } from '../namedStatus';
import { readJson } from '../readJson';

/** Makes a shorthand. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const shorthand = await NEW_SHORTHAND.validate(await readJson(request, 2_000), { strict: true });
    const answer = await makeShorthand(member, shorthand);
    return Response.json(answer, { status: NAMED_STATUS[answer.result] });
  });
}
