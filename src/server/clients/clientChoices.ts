import { SCHEMA_DEFAULTS } from '../../core/records/defaults';
import { fullName } from '../../core/people/names';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/** What a client's form is written with: the business's ways, and who may look after one. */
export const clientChoices = forMember(async ({ business_id }: CurrentMember) => {
  const records = await recordsOfBusiness(connection(), business_id, { clients: [] });
  const { business, members = [] } = records!;
  return {
    locale: business.locale ?? SCHEMA_DEFAULTS.locale,
    itemLabel: business.item_label ?? SCHEMA_DEFAULTS.itemLabel,
    own: {
      fields: business.custom_fields ?? [],
      currency: business.currency ?? SCHEMA_DEFAULTS.currency,
      zone: business.time_zone ?? SCHEMA_DEFAULTS.timeZone,
    },
    members: members.map((member) => [member.key, fullName(member) ?? member.key] as const),
  };
});
