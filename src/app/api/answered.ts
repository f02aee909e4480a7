import { ValidationError } from 'yup';
import { isDatabaseAway } from '../../server/databaseAway';
import { NoSuchPlace } from '../../server/lists/placeInList';
import { NotAllowed } from '../../server/signIn/rights';
import { isSameOrigin, refuseOrigin } from '../sameOrigin';
import { Refused } from './refused';

/**
 * Answers a request of our own pages. What cannot be read is refused in words, and what fails is told; nothing of what
 * was sent is said back.
 */
export async function answered(request: Request, answer: () => Promise<Response>): Promise<Response> {
  if (!['GET', 'HEAD'].includes(request.method) && !isSameOrigin(request)) return refuseOrigin();
  try {
    return await answer();
  } catch (error) {
    if (error instanceof Refused) return error.answer();
    if (error instanceof NotAllowed) return failed(403, error.message);
    if (error instanceof ValidationError) {
      const first = error.inner[0] ?? error;
      return Response.json({ error: first.message, field: first.path }, { status: 400 });
    }
    if (error instanceof NoSuchPlace)
      return failed(400, 'There is no such place in this list. Open the list again.');
    if (isDatabaseAway(error))
      return failed(503, 'The server cannot reach its data at the moment. Try again soon.');
    console.error(error);
    return failed(500, 'The server could not do this. It is written in its log.');
  }
}

function failed(status: number, error: string): Response {
  return Response.json({ error }, { status });
}
