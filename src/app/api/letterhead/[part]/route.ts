import { LETTERHEAD_TO_KEEP } from '../../../../core/contract/letterhead';
import { LONGEST_WORDS } from '../../../../core/template/text/tooLarge';
import { keepLetterhead } from '../../../../server/templates/letterhead';
import { asMember } from '../../asMember';
import { NAMED_STATUS } from '../../namedStatus';
import { readJson } from '../../readJson';

type Context = { params: Promise<{ part: string }> };

/** Keeps the top or the foot of the letterhead. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const { part } = await params;
    const words = await LETTERHEAD_TO_KEEP.validate(await readJson(request, 4 * LONGEST_WORDS), {
      strict: true,
    });
    if (part !== 'top' && part !== 'foot')
      return Response.json({ error: 'A letterhead has a top and a foot.' }, { status: 404 });
    const answer = await keepLetterhead(member, part, words);
    return Response.json(answer, { status: NAMED_STATUS[answer.result] });
  });
}
