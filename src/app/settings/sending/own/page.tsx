import type { Metadata } from 'next';
import { ownerKey } from '../../../../core/contract/ownerKey';
import { mailAccount } from '../../../../server/accounts/mailAccount';
import { sendingTrouble } from '../../../../server/accounts/sendingTrouble';
import { sendingServer } from '../../../../server/settingUp/sendingServer';
import { LeavesBy } from '../../../../ui/settings/accounts/LeavesBy';
import { SendingAccountForm } from '../../../../ui/settings/accounts/SendingAccountForm';
import { SettingsPaper } from '../../../../ui/settings/SettingsPaper';
import { requireMember } from '../../../session';

export const metadata: Metadata = { title: 'Your own sending account' };

export default async function OwnAccountPage() {
  const member = await requireMember();
  const [own, account] = [
    await mailAccount(member, 'sending', 'own'),
    await mailAccount(member, 'sending', 'business'),
  ];
  const trouble = own && (await sendingTrouble(member, own.id));
  return (
    <SettingsPaper
      title="Your own sending account"
      note="Where letters that you write leave by another mail server than everybody’s."
      back={{ href: '/settings/sending', words: 'Sending account' }}
    >
      {trouble !== undefined && <p className="form-part needs-you">{trouble}</p>}
      {!own && (
        <div className="form-part">
          <LeavesBy account={account?.facts.host} server={sendingServer()} />
        </div>
      )}
      <SendingAccountForm owner={ownerKey(member.business_id, member.key)} whose="own" facts={own?.facts} />
    </SettingsPaper>
  );
}
