import { number, object } from 'yup';
import { lettersWaiting, settleLateAfter, tryNow } from '../../../server/sending/sendingState';
import { asMember } from '../asMember';
import { readJson } from '../readJson';

const LATE = object({ lateAfter: number().integer().min(1).max(240).required() }).noUnknown();

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

/** Settles after how many hours a late letter waits for a person. */
export async function PUT(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const { lateAfter } = await LATE.validate(await readJson(request, 2_000), { strict: true });
    await settleLateAfter(member, lateAfter);
    return Response.json({});
  });
}
