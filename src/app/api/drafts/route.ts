import { listDrafts } from '../../../server/letters/drafts';
import { asMember } from '../asMember';

/** The letters that the member has begun, on any device, the newest first. */
export async function GET(request: Request): Promise<Response> {
  return asMember(request, async (member) => Response.json({ drafts: await listDrafts(member) }));
}
