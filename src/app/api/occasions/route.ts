import type { NextAnswer } from '../../../core/contract/today';
import { OCCASION_TO_REST, OCCASION_TO_WAKE } from '../../../core/contract/occasions';
import type { CurrentMember } from '../../../server/signIn/currentMember';
import { letterAfter } from '../../../server/today/letterAfter';
import { putOff, takeUpAgain } from '../../../server/today/settleOccasions';
import { asMember } from '../asMember';
import { readJson } from '../readJson';

/** The letter to read after one, of what is worth writing now: ?after=invoice:LPC-1048 */
export async function GET(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const after = new URL(request.url).searchParams.get('after') ?? '';
    return Response.json((await letterAfter(member, after.slice(0, 200))) satisfies NextAnswer);
  });
}

/** Puts an occasion off, or says that nothing needs to be written. */
export function POST(request: Request): Promise<Response> {
  return settled(request, async (json, member) => {
    const { occasion, rest } = await OCCASION_TO_REST.validate(json, { strict: true });
    await putOff(member, occasion, rest);
  });
}

/** An occasion stands on Today again. */
export function DELETE(request: Request): Promise<Response> {
  return settled(request, async (json, member) => {
    await takeUpAgain(member, (await OCCASION_TO_WAKE.validate(json, { strict: true })).occasion);
  });
}

function settled(
  request: Request,
  settle: (json: unknown, member: CurrentMember) => Promise<void>,
): Promise<Response> {
  return asMember(request, async (member) => {
    await settle(await readJson(request, 2_000), member);
    return Response.json({});
  });
}
