import { WORDS_TO_KEEP } from '../../../../core/contract/templateWords';
import { LONGEST_WORDS } from '../../../../core/template/text/tooLarge';
import { keepTemplate } from '../../../../server/templates/keepTemplate';
import { keyFrom } from '../../../keyFrom';
import { asMember } from '../../asMember';
import { readJson } from '../../readJson';
import { KEPT_STATUS } from './keptStatus';

type Context = { params: Promise<{ key: string }> };

/** Keeps a template's words as a new version. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const { version, text } = await WORDS_TO_KEEP.validate(await readJson(request, 4 * LONGEST_WORDS), {
      strict: true,
    });
    const kept = await keepTemplate(member, keyFrom((await params).key), version, text);
    return Response.json(kept, { status: KEPT_STATUS[kept.result] });
  });
}
