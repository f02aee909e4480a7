import { findTemplates } from '../../../server/templates/findTemplates';
import { asMember } from '../asMember';

/** The keys of the templates that have some words: ?find=words */
export async function GET(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const find = new URL(request.url).searchParams.get('find') ?? '';
    return Response.json(await findTemplates(member, find.slice(0, 200)));
  });
}
