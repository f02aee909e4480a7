import { MEANT_NAMES } from '../../../../core/contract/bringTemplates';
import { LARGEST_TEMPLATES, tooLargeTemplates } from '../../../../core/files/limits';
import { keepMeant } from '../../../../server/adopting/meantNames';
import { NoTemplate } from '../../../../server/adopting/noTemplate';
import { readTemplates } from '../../../../server/adopting/readTemplates';
import { asMember } from '../../asMember';
import { readBytes } from '../../readBytes';
import { readJson } from '../../readJson';
import { Refused } from '../../refused';

/** Tells what a file with templates from elsewhere holds: ?name=letters.zip. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const name = new URL(request.url).searchParams.get('name') ?? '';
    if (!name || name.length > 1000) throw new Refused('Say what the file is called.', 400);
    const bytes = await readBytes(request, LARGEST_TEMPLATES, tooLargeTemplates);
    try {
      return Response.json(await readTemplates(member, name, bytes));
    } catch (error) {
      if (!(error instanceof NoTemplate)) throw error;
      return Response.json({ error: error.lines.join('\n') }, { status: 422 });
    }
  });
}

/** Remembers what foreign names mean. */
export async function PUT(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const { names } = await MEANT_NAMES.validate(await readJson(request, 2_000_000), { strict: true });
    await keepMeant(member, names);
    return Response.json({});
  });
}
