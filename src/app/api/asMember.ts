import { ValidationError } from 'yup';
import { currentMember, type CurrentMember } from '../../server/currentMember';
import { isSameOrigin, refuseOrigin } from '../sameOrigin';
import { sessionToken } from '../session';
import { Refused } from './readJson';

/**
 * Answers a request of a signed-in member. Anybody else is told so in a way that the page can act on: what was typed
 * stays there. What cannot be read is refused in words; nothing of it is said back.
 */
export async function asMember(
  request: Request,
  answer: (member: CurrentMember) => Promise<Response>,
): Promise<Response> {
  if (request.method !== 'GET' && !isSameOrigin(request)) return refuseOrigin();
  const member = await currentMember(await sessionToken());
  if (!member) return Response.json({ error: 'You are signed out.', signedOut: true }, { status: 401 });
  try {
    const response = await answer(member);
    if (!response.headers.has('cache-control')) response.headers.set('cache-control', 'private, no-store');
    return response;
  } catch (error) {
    if (error instanceof Refused) return error.answer();
    if (error instanceof ValidationError) return Response.json({ error: error.message }, { status: 400 });
    throw error;
  }
}
