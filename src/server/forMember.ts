import { connection } from './connection';
import type { CurrentMember } from './signIn/currentMember';

/**
 * Makes a use case of what a member does or sees: it runs in one transaction for the member's business, over one connection,
 * and what it gives is given when that is kept. What it calls becomes a part of it.
 */
export function forMember<Rest extends unknown[], Result>(
  work: (member: CurrentMember, ...rest: Rest) => Promise<Result>,
): (member: CurrentMember, ...rest: Rest) => Promise<Result> {
  return (member, ...rest) => connection().inBusiness(member.business_id, () => work(member, ...rest));
}
