import { ownerKey } from '../../../core/contract/ownerKey';
import type { Metadata } from 'next';
import { detailChoices } from '../../../server/settings/detailChoices';
import { ownDetails } from '../../../server/settings/ownDetails';
import { saidIn } from '../../../server/settings/saidIn';
import { OwnDetailsForm } from '../../../ui/settings/OwnDetailsForm';
import { SettingsPaper } from '../../../ui/settings/SettingsPaper';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'Own details' };

export default async function DetailsPage() {
  const member = await requireMember();
  const { details, currencyStays } = await ownDetails(member);
  return (
    <SettingsPaper
      title="Own details"
      note="Every template draws on them: a change here is a change in each letter to come."
    >
      <OwnDetailsForm
        owner={ownerKey(member.business_id, member.key)}
        details={details}
        said={await saidIn(member)}
        currencyStays={currencyStays}
        choices={detailChoices(details.locale, details.time_zone)}
      />
    </SettingsPaper>
  );
}
