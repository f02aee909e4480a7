import { CHANGE_BOOKING } from '../../../../core/contract/bookings';
import { changeBooking } from '../../../../server/records/changeBooking';
import { keyFrom } from '../../../keyFrom';
import { asMember } from '../../asMember';
import { readJson } from '../../readJson';

type Context = { params: Promise<{ key: string }> };

const OVERTAKEN = 'Somebody has changed it since you opened it. Look at it again.';

/** Changes how a booking stands, or when it is. */
export async function PATCH(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const change = await CHANGE_BOOKING.validate(await readJson(request, 1_000), { strict: true });
    const changed = await changeBooking(member, keyFrom((await params).key), change);
    return changed
      ? Response.json({ version: change.version + 1 })
      : Response.json({ error: OVERTAKEN }, { status: 409 });
  });
}
