import type { KindOfAccount } from '../../core/contract/records/mailAccount';
import type { MailboxFacts } from '../../core/contract/records/mailbox';
import type { SendingAccountFacts } from '../../core/contract/records/sendingAccount';
import type { MailAccount } from '../../data/repositories/accounts/mailAccounts';
import type { AccountFacts, AccountKind } from './accountKind';
import { MAILBOX_KIND } from './mailboxKind';
import { SENDING_KIND } from './sendingKind';

/** The facts of each kind of account. */
export interface FactsOf {
  sending: SendingAccountFacts;
  mailbox: MailboxFacts;
}

const KINDS = { sending: SENDING_KIND, mailbox: MAILBOX_KIND };

/** A kind by its name, for what is the same of all: what is of a kind alone is given to that kind only. */
export function kindOf(kind: KindOfAccount): AccountKind<AccountFacts, MailAccount> {
  return KINDS[kind] as unknown as AccountKind<AccountFacts, MailAccount>;
}
