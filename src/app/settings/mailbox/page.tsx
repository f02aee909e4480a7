import type { Metadata } from 'next';
import Link from 'next/link';
import { ownerKey } from '../../../core/contract/ownerKey';
import { mailAccount } from '../../../server/accounts/mailAccount';
import { mailboxState } from '../../../server/mailboxes/mailboxState';
import { today } from '../../../server/settings/today';
import { MailboxForm } from '../../../ui/settings/accounts/MailboxForm';
import { MailboxState } from '../../../ui/settings/accounts/MailboxState';
import { SettingsPaper } from '../../../ui/settings/SettingsPaper';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'Mailbox' };

export default async function MailboxPage() {
  const member = await requireMember();
  const [account, own] = [
    await mailAccount(member, 'mailbox', 'business'),
    await mailAccount(member, 'mailbox', 'own'),
  ];
  return (
    <SettingsPaper
      title="Mailbox"
      note="What comes to the business’s mailbox is read from there, and what was written from it elsewhere joins the letters of the client."
    >
      <MailboxState state={await mailboxState(member, 'business')} />
      <p className="form-part">
        <Link href="/settings/mailbox/own" prefetch={false}>
          {own ? `Yours is ${own.facts.user_name}` : 'A mailbox of your own'}
        </Link>
      </p>
      {member.role === 'owner' ? (
        <MailboxForm
          owner={ownerKey(member.business_id, member.key)}
          whose="business"
          facts={account?.facts}
          today={await today(member)}
        />
      ) : (
        <p className="form-part hint">
          {account ? `It is ${account.facts.user_name}. ` : ''}An owner of the business settles it.
        </p>
      )}
    </SettingsPaper>
  );
}
