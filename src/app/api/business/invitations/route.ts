import { invite } from '../../../../server/settingUp/invitations';
import { asMember } from '../../asMember';

/** Invites somebody to make a business here: gives what the invitation is known by, once. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => Response.json({ token: await invite(member) }, { status: 201 }));
}
