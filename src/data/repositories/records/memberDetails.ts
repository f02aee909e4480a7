import type { MemberDetails } from '../../../core/contract/records/memberDetails';
import type { Database } from '../../database';
import { columnsOf, present } from './factsInRow';

const COLUMNS = [
  ...['version', 'full_name', 'given_name', 'family_name', 'title', 'phone', 'mobile', 'email', 'picture'],
] as const satisfies readonly (keyof MemberDetails)[];

/** What letters say of a member; undefined where there is none. A fact that is not there is absent. */
export async function memberDetails(
  { models }: Database,
  business_id: string,
  key: string,
): Promise<MemberDetails | undefined> {
  const row = (await models.member.findOne({
    attributes: [...COLUMNS],
    where: { business_id, key },
    raw: true,
  })) as unknown as Record<string, unknown> | null;
  if (!row) return undefined;
  return present(row) as unknown as MemberDetails;
}

/** Keeps them where they are still as they were seen; gives whether they were. */
export async function keepMemberDetails(
  { models }: Database,
  business_id: string,
  key: string,
  { version, ...details }: MemberDetails,
): Promise<boolean> {
  const [changed] = await models.member.update(
    { ...columnsOf(COLUMNS, details), version: version + 1 },
    { where: { business_id, key, version } },
  );
  return changed === 1;
}
