import { object, string } from 'yup';
import type { CurrentMember } from '../../../server/signIn/currentMember';
import { putOff, takeUpAgain, type Rest } from '../../../server/today/settleOccasions';
import { asMember } from '../asMember';
import { readJson } from '../readJson';

const RESTS: readonly Rest[] = ['next working day', 'next week', 'for good'];
const OCCASION = string().required().max(200);
const PUT_OFF = object({ occasion: OCCASION, rest: string<Rest>().oneOf(RESTS).required() }).noUnknown();
const TAKEN_UP = object({ occasion: OCCASION }).noUnknown();

/** Puts an occasion off, or says that nothing needs to be written. */
export function POST(request: Request): Promise<Response> {
  return settled(request, async (json, member) => {
    const { occasion, rest } = await PUT_OFF.validate(json, { strict: true });
    await putOff(member, occasion, rest);
  });
}

/** An occasion stands on Today again. */
export function DELETE(request: Request): Promise<Response> {
  return settled(request, async (json, member) => {
    await takeUpAgain(member, (await TAKEN_UP.validate(json, { strict: true })).occasion);
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
