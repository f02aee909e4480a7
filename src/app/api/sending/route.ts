import { lettersWaiting, tryNow } from '../../../server/sending/sendingState';
import { asMember } from '../asMember';

/** How many letters wait though their time has come, and why. */
export async function GET(request: Request): Promise<Response> {
  return asMember(request, async (member) => Response.json(await lettersWaiting(member)));
}

/** Has letters that wait for the mail server tried at once. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async () => {
    await tryNow();
    return Response.json({});
  });
}
