import type { Metadata } from 'next';
import { NEW_CLIENT } from '../../../core/contract/records/shownClient';
import { clientChoices } from '../../../server/clients/clientChoices';
import { ClientForm } from '../../../ui/clients/ClientForm';
import { SettingsPaper } from '../../../ui/settings/SettingsPaper';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'A new client' };

export default async function NewClientPage() {
  const member = await requireMember();
  return (
    <SettingsPaper
      title="A new client"
      note="A name is enough to begin with."
      back={{ href: '/clients', words: 'Clients' }}
    >
      <ClientForm
        owner={`${member.business_id} ${member.key}`}
        facts={NEW_CLIENT}
        {...await clientChoices(member)}
      />
    </SettingsPaper>
  );
}
