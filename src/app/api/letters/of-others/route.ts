import { ASKED_OF_OTHERS } from '../../../../core/contract/ofOthers';
import { ofOthers } from '../../../../server/letters/ofOthers';
import { readStartingPoint } from '../../../../core/records/which/readStartingPoint';
import { asMember } from '../../asMember';
import { readJson } from '../../readJson';
import { Refused } from '../../refused';

/** What in the words of a letter is another client's. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const asked = await ASKED_OF_OTHERS.validate(await readJson(request, 60_000), { strict: true });
    const { from, ...named } = asked;
    const start = readStartingPoint(from);
    const answer = start && (await ofOthers(member, start, named));
    if (!answer) throw new Refused('There is no such record.', 404);
    return Response.json(answer);
  });
}
