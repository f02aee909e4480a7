import type { ChangeBooking } from '../../core/contract/bookings';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/** Changes how a booking stands, or when it is, where it is still as it was seen; gives whether it was. */
export const changeBooking = forMember(
  async (
    { business_id }: CurrentMember,
    key: string,
    { version, status, starts_at, ends_at }: ChangeBooking,
  ): Promise<boolean> => {
    const [changed] = await connection().models.booking.update(
      {
        ...(status ? { status } : {}),
        ...(starts_at && ends_at ? { starts_at: new Date(starts_at), ends_at: new Date(ends_at) } : {}),
        version: version + 1,
      },
      { where: { business_id, key, version } },
    );
    return changed === 1;
  },
);
