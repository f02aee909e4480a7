import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { memberDetails } from '../../../server/settings/memberDetails';
import { saidIn } from '../../../server/settings/saidIn';
import { MemberForm } from '../../../ui/settings/MemberForm';
import { SettingsPaper } from '../../../ui/settings/SettingsPaper';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'You' };

export default async function YouPage() {
  const member = await requireMember();
  const details = await memberDetails(member, member.key);
  if (!details) notFound();
  return (
    <SettingsPaper title="You" note="What your letters say of you.">
      <MemberForm
        owner={`${member.business_id} ${member.key}`}
        memberKey={member.key}
        details={details}
        said={await saidIn(member)}
      />
    </SettingsPaper>
  );
}
