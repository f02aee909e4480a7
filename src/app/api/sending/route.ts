import { tryNow } from '../../../server/sending/sendingState';
import { asMember } from '../asMember';

/** Has letters that wait for the mail server tried at once. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async () => {
    await tryNow();
    return Response.json({});
  });
}
