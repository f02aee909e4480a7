import { isoOf } from '../../core/dates/civil';
import { businessBook } from '../businessBook';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/** The day of today where the business is, as an ISO date. */
export const today = forMember(async ({ business_id }: CurrentMember): Promise<string> =>
  isoOf((await businessBook(business_id)).today),
);
