import type { NextAnswer } from '../../core/contract/today';
import { nextWaiting } from '../../core/occasions/nextWaiting';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { today } from './today';

/** The letter that a member reads after one that starts from `invoice:LPC-1048`. */
export const letterAfter = forMember(async (member: CurrentMember, after: string): Promise<NextAnswer> => {
  const { cards } = await today(member);
  const { name, reason, start, template } = nextWaiting(cards, after) ?? {};
  return name !== undefined && reason !== undefined && start && template
    ? { next: { name, reason, start, template } }
    : {};
});
