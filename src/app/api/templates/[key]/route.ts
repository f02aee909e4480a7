import { object, string } from 'yup';
import { LONGEST_WORDS } from '../../../../core/template/text/tooLarge';
import { keepTemplate } from '../../../../server/templates/keepTemplate';
import { keyFrom } from '../../../keyFrom';
import { asMember } from '../../asMember';
import { readJson } from '../../readJson';
import { VERSION } from '../../wholeNumber';

type Context = { params: Promise<{ key: string }> };

const WORDS = object({
  version: VERSION,
  text: string().required().max(LONGEST_WORDS, `These words are longer than ${LONGEST_WORDS} characters.`),
}).noUnknown();

const STATUS = { kept: 200, wrong: 422, overtaken: 409, gone: 404, refused: 403 } as const;

/** Keeps a template's words as a new version. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const { version, text } = await WORDS.validate(await readJson(request, 4 * LONGEST_WORDS), {
      strict: true,
    });
    const kept = await keepTemplate(member, keyFrom((await params).key), version, text);
    return Response.json(kept, { status: STATUS[kept.result] });
  });
}
