import { UniqueConstraintError } from 'sequelize';
import type { Keeping } from '../../core/contract/records/keeping';
import type { MemberDetails } from '../../core/contract/records/memberDetails';
import {
  keepMemberDetails as keep,
  memberDetails as detailsOf,
} from '../../data/repositories/records/memberDetails';
import { isPictureHere } from '../../data/repositories/files/pictures';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { mustOwn } from '../signIn/rights';
import { NO_PICTURE } from './noPicture';

/** What letters say of a member. */
export const memberDetails = forMember(async ({ business_id }: CurrentMember, key: string) =>
  detailsOf(connection(), business_id, key),
);

/** Keeps what letters say of a member. @throws NotAllowed unless it is oneself, or an owner does it */
export async function keepMemberDetails(
  member: CurrentMember,
  key: string,
  asked: MemberDetails,
): Promise<Keeping<MemberDetails>> {
  if (member.key !== key) mustOwn(member);
  try {
    return await keepThem(member, key, asked);
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
    return { result: 'wrong', field: 'email', error: 'Somebody signs in with this address already.' };
  }
}

const keepThem = forMember(
  async (
    { business_id }: CurrentMember,
    key: string,
    asked: MemberDetails,
  ): Promise<Keeping<MemberDetails>> => {
    const database = connection();
    if (asked.picture !== undefined && !(await isPictureHere(database, business_id, asked.picture)))
      return { result: 'wrong', field: 'picture', error: NO_PICTURE };
    if (await keep(database, business_id, key, asked)) return { result: 'kept', version: asked.version + 1 };
    const now = await detailsOf(database, business_id, key);
    return now ? { result: 'overtaken', now } : { result: 'gone' };
  },
);
