import { ownerKey } from '../../../core/contract/ownerKey';
import type { Metadata } from 'next';
import { formGround } from '../../../server/records/formChoices';
import { ownFields } from '../../../server/settings/ownFields';
import { saidIn } from '../../../server/settings/saidIn';
import { OwnFieldsForm } from '../../../ui/settings/OwnFieldsForm';
import { SettingsPaper } from '../../../ui/settings/SettingsPaper';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'Custom fields' };

export default async function FieldsPage() {
  const member = await requireMember();
  const { itemLabel } = await formGround(member);
  return (
    <SettingsPaper
      title="Custom fields"
      note="Facts that you keep of your own. They stand in the forms, and templates can say them, from the moment they are kept."
    >
      <OwnFieldsForm
        owner={ownerKey(member.business_id, member.key)}
        facts={await ownFields(member)}
        said={await saidIn(member)}
        words={{ item: itemLabel, booking: member.words.booking }}
      />
    </SettingsPaper>
  );
}
