import { DRAFT_TO_KEEP } from '../../../../../core/contract/templateWords';
import type { Done } from '../../../../../core/contract/refusal';
import { LONGEST_WORDS } from '../../../../../core/template/text/tooLarge';
import { keepTemplateDraft } from '../../../../../server/templates/templateDrafts';
import { keyFrom } from '../../../../keyFrom';
import { asMember } from '../../../asMember';
import { readJson } from '../../../readJson';

type Context = { params: Promise<{ key: string }> };

/** Keeps what is being written of a template's next version. */
export async function PUT(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const draft = await DRAFT_TO_KEEP.validate(await readJson(request, 4 * LONGEST_WORDS), { strict: true });
    const found = await keepTemplateDraft(member, keyFrom((await params).key), draft);
    const answer: Done = found ? {} : { error: 'This template is no longer there.' };
    return Response.json(answer, { status: found ? 200 : 404 });
  });
}
