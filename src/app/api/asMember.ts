import { currentMember, type CurrentMember } from '../../server/currentMember';
import { isSameOrigin, refuseOrigin } from '../sameOrigin';
import { sessionToken } from '../session';

/**
 * Answers a request of a signed-in member. Anybody else is told so in a way that the page can act on: what was typed
 * stays there.
 */
export async function asMember(
  request: Request,
  answer: (member: CurrentMember) => Promise<Response>,
): Promise<Response> {
  if (request.method !== 'GET' && !isSameOrigin(request)) return refuseOrigin();
  const member = await currentMember(await sessionToken());
  if (!member) return Response.json({ error: 'You are signed out.', signedOut: true }, { status: 401 });
  return answer(member);
}

/** The JSON of a request; undefined when it has none. */
export async function jsonOf(request: Request): Promise<unknown> {
  return request.json().catch(() => undefined);
}
