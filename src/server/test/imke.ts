import { stableId } from '../../data/stableId';
import type { CurrentMember } from '../signIn/currentMember';

/** The owner of the demonstration business, signed in. */
export const imke: CurrentMember = {
  business_id: stableId('business', 'larkfield'),
  business_name: 'Larkfield Piano Care',
  id: stableId('member', 'imke'),
  key: 'imke',
  full_name: 'Imke Sandoval',
  role: 'owner',
  changesShared: true,
  deviceDays: 7,
  words: { booking: 'visit', bookings: 'visits' },
};
