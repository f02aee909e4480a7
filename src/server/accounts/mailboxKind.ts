import type { MailboxFacts } from '../../core/contract/records/mailbox';
import type { Mailbox } from '../../data/repositories/accounts/mailAccounts';
import { tryMailbox } from '../../post/imap/tryMailbox';
import type { AccountKind } from './accountKind';

/** A mailbox that is read: it opens, and has the folders that it is read from. */
export const MAILBOX_KIND: AccountKind<MailboxFacts, Mailbox> = {
  kind: 'mailbox',
  row: ({ sent_folder, since }) => ({ sent_folder: sent_folder ?? null, since }),
  facts: ({ sent_folder, since }) => ({ ...(sent_folder === null ? {} : { sent_folder }), since }),
  tryOut: (server, { sent_folder }) => tryMailbox(server, sent_folder),
};
