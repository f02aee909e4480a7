import { whatCameIn } from '../../../../server/telling/whatCameIn';
import { asMember } from '../../asMember';

/** What came in last and waits, for a device that tells its member of it. */
export async function GET(request: Request): Promise<Response> {
  return asMember(request, async (member) => Response.json(await whatCameIn(member)));
}
