import { number, object, string, ValidationError } from 'yup';
import { keepTemplate } from '../../../../server/keepTemplate';
import { asMember, jsonOf } from '../../asMember';

type Context = { params: Promise<{ key: string }> };

const WORDS = object({
  version: number().integer().positive().required(),
  text: string().required().max(1_000_000),
}).noUnknown();

const STATUS = { kept: 200, wrong: 422, overtaken: 409, gone: 404 } as const;

/** Keeps a template's words as a new version. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    try {
      const { version, text } = await WORDS.validate(await jsonOf(request), { strict: true });
      const kept = await keepTemplate(member, (await params).key, version, text);
      return Response.json(kept, { status: STATUS[kept.result] });
    } catch (error) {
      if (error instanceof ValidationError) return Response.json({ error: error.message }, { status: 400 });
      throw error;
    }
  });
}
