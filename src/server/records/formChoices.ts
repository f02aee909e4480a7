import { SCHEMA_DEFAULTS } from '../../core/records/defaults';
import type { FormChoices } from '../../core/contract/records/formChoices';
import { isoOf } from '../../core/dates/civil';
import { dayAt } from '../../core/dates/zone';
import { fullName } from '../../core/people/names';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
import { workWays } from '../../data/repositories/records/workWays';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/** What the facts of records are judged and shown by: the business's own fields, its members and partners. */
export const formGround = forMember(async ({ business_id, words }: CurrentMember) => {
  const {
    business,
    members = [],
    partners = [],
  } = (await recordsOfBusiness(connection(), business_id, {
    clients: [],
  }))!;
  const zone = business.time_zone ?? SCHEMA_DEFAULTS.timeZone;
  return {
    locale: business.locale ?? SCHEMA_DEFAULTS.locale,
    itemLabel: business.item_label ?? SCHEMA_DEFAULTS.itemLabel,
    words,
    own: {
      fields: business.custom_fields ?? [],
      currency: business.currency ?? SCHEMA_DEFAULTS.currency,
      zone,
    },
    members: members.map((member) => [member.key, fullName(member) ?? member.key] as const),
    partners: partners.map(({ key, name }) => [key, name ?? key] as const),
    today: isoOf(dayAt(now(), zone)),
  };
});

/** What records are written down with: the same, and the business's ways of work. */
export const formChoices = forMember(async (member: CurrentMember): Promise<FormChoices> => ({
  ...(await formGround(member)),
  ways: await workWays(connection(), member.business_id),
}));
