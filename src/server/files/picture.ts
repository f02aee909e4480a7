import { picturesOfBusiness, type Picture } from '../../data/repositories/files/pictures';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';

/** A picture of the member's business by its SHA-256. */
export const picture = forMember(
  async ({ business_id }: CurrentMember, sha256: string): Promise<Picture | undefined> => {
    return (await picturesOfBusiness(connection(), business_id, [sha256])).get(sha256);
  },
);
