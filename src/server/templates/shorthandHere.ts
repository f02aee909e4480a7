import type { Shorthand } from '../../core/template/template';
import { shorthandOf } from '../../data/repositories/templates/shorthand';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/** A member's own and the house's, with whose they are. */
export const ownedBy = ({ business_id, id }: CurrentMember) =>
  shorthandOf(connection(), { business_id, member_id: id });

/** What turns into longer text while a member types. */
export const shorthandHere = forMember(async (member: CurrentMember): Promise<Shorthand[]> =>
  (await ownedBy(member)).map(({ key, name, member_id, group_name, document }) => ({
    key,
    name,
    document,
    ...(group_name === null ? {} : { group: group_name }),
    ...(member_id === null ? {} : { own: true }),
  })),
);
