import type { Metadata } from 'next';
import Link from 'next/link';
import { ownerKey } from '../../../core/contract/ownerKey';
import { mailAccount } from '../../../server/accounts/mailAccount';
import { sendingTrouble } from '../../../server/accounts/sendingTrouble';
import { sendingServer } from '../../../server/settingUp/sendingServer';
import { LeavesBy } from '../../../ui/settings/accounts/LeavesBy';
import { SendingAccountForm } from '../../../ui/settings/accounts/SendingAccountForm';
import { SettingsPaper } from '../../../ui/settings/SettingsPaper';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'Sending account' };

export default async function SendingAccountPage() {
  const member = await requireMember();
  const [account, own] = [
    await mailAccount(member, 'sending', 'business'),
    await mailAccount(member, 'sending', 'own'),
  ];
  const trouble = account && (await sendingTrouble(member, account.id));
  return (
    <SettingsPaper title="Sending account" note="The mail server by which everybody’s letters leave.">
      {trouble !== undefined && <p className="form-part needs-you">{trouble}</p>}
      {!account && (
        <div className="form-part">
          <LeavesBy server={sendingServer()} />
        </div>
      )}
      <p className="form-part">
        <Link href="/settings/sending/own" prefetch={false}>
          {own ? `Yours leave by ${own.facts.host}: your own account` : 'An account of your own'}
        </Link>
      </p>
      {member.role === 'owner' ? (
        <SendingAccountForm
          owner={ownerKey(member.business_id, member.key)}
          whose="business"
          facts={account?.facts}
        />
      ) : (
        <p className="form-part hint">
          {account ? `Letters leave by ${account.facts.host}. ` : ''}An owner of the business settles it.
        </p>
      )}
    </SettingsPaper>
  );
}
