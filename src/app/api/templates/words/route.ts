import { MOST_WORDS } from '../../../../core/contract/writing';
import { wordsOfTemplates } from '../../../../server/templates/wordsOfTemplates';
import { asMember } from '../../asMember';

/** The words of some templates: ?key=one&key=another. Those that are not there are left out. */
export async function GET(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const keys = new URL(request.url).searchParams.getAll('key').filter((key) => !key.includes('\0'));
    if (keys.length > MOST_WORDS)
      return Response.json({ error: `Ask for ${MOST_WORDS} templates at most.` }, { status: 400 });
    return Response.json(await wordsOfTemplates(member, keys));
  });
}
