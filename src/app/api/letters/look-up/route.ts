import { ASKED_TO_LOOK_UP } from '../../../../core/contract/lookUp';
import { readStartingPoint } from '../../../../core/records/which/readStartingPoint';
import { lookUp } from '../../../../server/letters/lookUp';
import { asMember } from '../../asMember';
import { readJson } from '../../readJson';
import { Refused } from '../../refused';

/** What in the words of a letter is another client's, and which of the days that it offers are not free. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const { from, ...asked } = await ASKED_TO_LOOK_UP.validate(await readJson(request, 60_000), {
      strict: true,
    });
    const start = readStartingPoint(from);
    const answer = start && (await lookUp(member, start, asked));
    if (!answer) throw new Refused('There is no such record.', 404);
    return Response.json(answer);
  });
}
