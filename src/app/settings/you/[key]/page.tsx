import { ownerKey } from '../../../../core/contract/ownerKey';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { memberDetails } from '../../../../server/settings/memberDetails';
import { saidIn } from '../../../../server/settings/saidIn';
import { MemberForm } from '../../../../ui/settings/MemberForm';
import { SettingsPaper } from '../../../../ui/settings/SettingsPaper';
import { keyFrom } from '../../../keyFrom';
import { requireMember } from '../../../session';

type Props = { params: Promise<{ key: string }> };

/** Another member's details, for an owner. */
const load = cache(async (segment: string) => {
  const member = await requireMember();
  const key = keyFrom(segment);
  const details = member.role === 'owner' ? await memberDetails(member, key) : undefined;
  return details && { member, key, details };
});

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: (await load((await params).key))?.details.full_name ?? 'Nothing found' };
}

export default async function MemberPage({ params }: Props) {
  const found = await load((await params).key);
  if (!found) notFound();
  const { member, key, details } = found;
  return (
    <SettingsPaper title={details.full_name} note="What their letters say of them.">
      <MemberForm
        owner={ownerKey(member.business_id, member.key)}
        memberKey={key}
        details={details}
        said={await saidIn(member)}
      />
    </SettingsPaper>
  );
}
