import type { Metadata } from 'next';
import { ownerKey } from '../../../../core/contract/ownerKey';
import { mailAccount } from '../../../../server/accounts/mailAccount';
import { mailboxState } from '../../../../server/mailboxes/mailboxState';
import { today } from '../../../../server/settings/today';
import { MailboxForm } from '../../../../ui/settings/accounts/MailboxForm';
import { MailboxState } from '../../../../ui/settings/accounts/MailboxState';
import { SettingsPaper } from '../../../../ui/settings/SettingsPaper';
import { requireMember } from '../../../session';

export const metadata: Metadata = { title: 'Your own mailbox' };

export default async function OwnMailboxPage() {
  const member = await requireMember();
  const own = await mailAccount(member, 'mailbox', 'own');
  return (
    <SettingsPaper
      title="Your own mailbox"
      note="Where what clients write to you comes to a mailbox of your own."
      back={{ href: '/settings/mailbox', words: 'Mailbox' }}
    >
      <MailboxState state={await mailboxState(member, 'own')} />
      <MailboxForm
        owner={ownerKey(member.business_id, member.key)}
        whose="own"
        facts={own?.facts}
        today={await today(member)}
      />
    </SettingsPaper>
  );
}
