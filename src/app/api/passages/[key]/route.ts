import { REMOVAL } from '../../../../core/contract/named';
import { PASSAGE_TO_KEEP } from '../../../../core/contract/passages';
import { LONGEST_WORDS } from '../../../../core/template/text/tooLarge';
import { keepPassage, removePassage } from '../../../../server/templates/passages';
import { keyFrom } from '../../../keyFrom';
import { asMember } from '../../asMember';
import { readJson } from '../../readJson';
import { NAMED_STATUS } from '../../namedStatus';

type Context = { params: Promise<{ key: string }> };

/** Keeps a passage's words. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const passage = await PASSAGE_TO_KEEP.validate(await readJson(request, 4 * LONGEST_WORDS), {
      strict: true,
    });
    const answer = await keepPassage(member, keyFrom((await params).key), passage);
    return Response.json(answer, { status: NAMED_STATUS[answer.result] });
  });
}

/** Removes a passage that stands nowhere. */
export async function DELETE(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const { version } = await REMOVAL.validate(await readJson(request, 2_000), { strict: true });
    const answer = await removePassage(member, keyFrom((await params).key), version);
    return Response.json(answer, { status: NAMED_STATUS[answer.result] });
  });
}
