import { REMOVAL } from '../../../../core/contract/named';
import { SHORTHAND_TO_KEEP } from '../../../../core/contract/shorthand';
import { LONGEST_WORDS } from '../../../../core/template/text/tooLarge';
import { keepShorthand, removeShorthand } from '../../../../server/templates/shorthand';
import { keyFrom } from '../../../keyFrom';
import { asMember } from '../../asMember';
import { NAMED_STATUS } from '../../namedStatus';
import { readJson } from '../../readJson';

type Context = { params: Promise<{ key: string }> };

/** Keeps what a shorthand says. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const shorthand = await SHORTHAND_TO_KEEP.validate(await readJson(request, 4 * LONGEST_WORDS), {
      strict: true,
    });
    const answer = await keepShorthand(member, keyFrom((await params).key), shorthand);
    return Response.json(answer, { status: NAMED_STATUS[answer.result] });
  });
}

/** Removes a shorthand. */
export async function DELETE(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const { version } = await REMOVAL.validate(await readJson(request, 2_000), { strict: true });
    const answer = await removeShorthand(member, keyFrom((await params).key), version);
    return Response.json(answer, { status: NAMED_STATUS[answer.result] });
  });
}
