import { REMOVAL } from '../../../../core/contract/named';
import { SIGNATURE_TO_KEEP } from '../../../../core/contract/signatures';
import { LONGEST_WORDS } from '../../../../core/template/text/tooLarge';
import { keepSignature, removeSignature } from '../../../../server/templates/signatures';
import { keyFrom } from '../../../keyFrom';
import { asMember } from '../../asMember';
import { NAMED_STATUS } from '../../namedStatus';
import { readJson } from '../../readJson';

type Context = { params: Promise<{ key: string }> };

/** Keeps a signature's words. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const signature = await SIGNATURE_TO_KEEP.validate(await readJson(request, 4 * LONGEST_WORDS), {
      strict: true,
    });
    const answer = await keepSignature(member, keyFrom((await params).key), signature);
    return Response.json(answer, { status: NAMED_STATUS[answer.result] });
  });
}

/** Removes a signature that no template asks for. */
export async function DELETE(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const { version } = await REMOVAL.validate(await readJson(request, 2_000), { strict: true });
    const answer = await removeSignature(member, keyFrom((await params).key), version);
    return Response.json(answer, { status: NAMED_STATUS[answer.result] });
  });
}
