import { currentMember, type CurrentMember } from '../../server/signIn/currentMember';
import { sessionToken } from '../session';
import { answered } from './answered';

/**
 * Answers a request of a signed-in member. Anybody else is told so in a way that the page can act on: what was typed
 * stays there.
 */
export async function asMember(
  request: Request,
  answer: (member: CurrentMember) => Promise<Response>,
): Promise<Response> {
  return answered(request, async () => {
    const member = await currentMember(await sessionToken());
    if (!member) return Response.json({ error: 'You are signed out.', signedOut: true }, { status: 401 });
    const response = await answer(member);
    if (!response.headers.has('cache-control')) response.headers.set('cache-control', 'private, no-store');
    return response;
  });
}
