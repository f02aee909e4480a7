import type { Metadata } from 'next';
import { ownerKey } from '../../../core/contract/ownerKey';
import { memberDetails } from '../../../server/settings/memberDetails';
import { morningSetting } from '../../../server/telling/morningSetting';
import { SettingsPaper } from '../../../ui/settings/SettingsPaper';
import { DeviceNotices } from '../../../ui/telling/DeviceNotices';
import { MorningLetter } from '../../../ui/telling/MorningLetter';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'How you are told' };

export default async function ToldPage() {
  const member = await requireMember();
  const details = await memberDetails(member, member.key);
  return (
    <SettingsPaper
      title="How you are told"
      note="Of what waits for you. Yours alone; nothing unless you want it."
    >
      <MorningLetter {...await morningSetting(member)} address={details?.email ?? ''} />
      <DeviceNotices owner={ownerKey(member.business_id, member.key)} />
    </SettingsPaper>
  );
}
