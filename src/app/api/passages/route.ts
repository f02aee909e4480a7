import { NEW_PASSAGE } from '../../../core/contract/passages';
import { makePassage } from '../../../server/templates/passages';
import { asMember } from '../asMember';
import { readJson } from '../readJson';
import { NAMED_STATUS } from '../namedStatus';

/** Makes a passage. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const { name } = await NEW_PASSAGE.validate(await readJson(request, 2_000), { strict: true });
    const answer = await makePassage(member, name);
    return Response.json(answer, { status: NAMED_STATUS[answer.result] });
  });
}
