import type { Keeping } from '../../core/contract/records/keeping';
import type { OwnDetails } from '../../core/contract/records/ownDetails';
import {
  hasSums,
  keepOwnDetails as keep,
  ownDetails as detailsOf,
} from '../../data/repositories/records/ownDetails';
import { isPictureHere } from '../../data/repositories/files/pictures';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { mustOwn } from '../signIn/rights';
import { NO_PICTURE } from './noPicture';

/** What the business says of itself, and whether its currency can still be another. */
export const ownDetails = forMember(
  async ({ business_id }: CurrentMember): Promise<{ details: OwnDetails; currencyStays: boolean }> => {
    const database = connection();
    return {
      details: await detailsOf(database, business_id),
      currencyStays: await hasSums(database, business_id),
    };
  },
);

/** Keeps what the business says of itself. @throws NotAllowed unless an owner does it */
export const keepOwnDetails = forMember(
  async (member: CurrentMember, asked: OwnDetails): Promise<Keeping<OwnDetails>> => {
    mustOwn(member);
    const { business_id } = member;
    const database = connection();
    const now = await detailsOf(database, business_id);
    if (
      now.version === asked.version &&
      now.currency !== asked.currency &&
      (await hasSums(database, business_id))
    )
      return {
        result: 'wrong',
        field: 'currency',
        error: `There are sums in ${now.currency} by now. The currency stays.`,
      };
    if (asked.logo !== undefined && !(await isPictureHere(database, business_id, asked.logo)))
      return { result: 'wrong', field: 'logo', error: NO_PICTURE };
    return (await keep(database, business_id, asked))
      ? { result: 'kept', version: asked.version + 1 }
      : { result: 'overtaken', now: await detailsOf(database, business_id) };
  },
);
