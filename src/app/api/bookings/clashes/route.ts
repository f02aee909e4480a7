import { CLASH_ASKED } from '../../../../core/contract/clashes';
import { clashesOfBooking } from '../../../../server/records/clashesOfBooking';
import { asMember } from '../../asMember';
import { readJson } from '../../readJson';

/** What stands in the way of a booking that is being chosen. Nothing is kept. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const asked = await CLASH_ASKED.validate(await readJson(request, 20_000), { strict: true });
    return Response.json({ clashes: await clashesOfBooking(member, asked) });
  });
}
