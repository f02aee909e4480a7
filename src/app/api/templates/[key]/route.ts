import { WORDS_TO_KEEP } from '../../../../core/contract/templateWords';
import { LONGEST_WORDS } from '../../../../core/template/text/tooLarge';
import { keepTemplate } from '../../../../server/templates/keepTemplate';
import { keyFrom } from '../../../keyFrom';
import { asMember } from '../../asMember';
import { readJson } from '../../readJson';

type Context = { params: Promise<{ key: string }> };

const STATUS = { kept: 200, wrong: 422, overtaken: 409, gone: 404, refused: 403 } as const;

/** Keeps a template's words as a new version. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const { version, text } = await WORDS_TO_KEEP.validate(await readJson(request, 4 * LONGEST_WORDS), {
      strict: true,
    });
    const kept = await keepTemplate(member, keyFrom((await params).key), version, text);
    return Response.json(kept, { status: STATUS[kept.result] });
  });
}
