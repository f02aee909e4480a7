import { ownerKey } from '../../../core/contract/ownerKey';
import type { Metadata } from 'next';
import { formChoices } from '../../../server/records/formChoices';
import { SettingsPaper } from '../../../ui/settings/SettingsPaper';
import { WorkWaysForm } from '../../../ui/settings/WorkWaysForm';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'Services and invoices' };

export default async function WorkWaysPage() {
  const member = await requireMember();
  const { ways, own } = await formChoices(member);
  return (
    <SettingsPaper
      title="Services and invoices"
      note="What you usually do, how long it takes and what it costs; how invoices are numbered and paid."
    >
      <WorkWaysForm owner={ownerKey(member.business_id, member.key)} ways={ways} currency={own.currency} />
    </SettingsPaper>
  );
}
