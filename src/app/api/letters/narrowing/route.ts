import { narrowingChoices } from '../../../../server/letters/narrowingChoices';
import { asMember } from '../../asMember';

/** What letters can be narrowed by: members and templates. */
export async function GET(request: Request): Promise<Response> {
  return asMember(request, async (member) => Response.json(await narrowingChoices(member)));
}
