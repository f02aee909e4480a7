import { ownerKey } from '../../../core/contract/ownerKey';
import type { Metadata } from 'next';
import { latestBringings, ownWays } from '../../../server/bringing/bringing';
import { BringIn } from '../../../ui/bringing/BringIn';
import { SettingsPaper } from '../../../ui/settings/SettingsPaper';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'Bring in' };

export default async function BringInPage() {
  const member = await requireMember();
  return (
    <SettingsPaper
      title="Bring in"
      note="What you have elsewhere, from files. Nothing comes in before you have seen it."
    >
      <BringIn
        owner={ownerKey(member.business_id, member.key)}
        own={await ownWays(member)}
        words={member.words}
        latest={await latestBringings(member)}
      />
    </SettingsPaper>
  );
}
