'use client';

import type { WhoseAccount } from '../../../core/contract/records/mailAccount';
import { MAILBOX, noMailbox, shownMailbox, type MailboxFacts } from '../../../core/contract/records/mailbox';
import { Field } from '../../forms/Field';
import { AccountForm } from './AccountForm';

interface Props {
  /** whose what is typed is, on this device */
  owner: string;
  whose: WhoseAccount;
  /** absent: there is none yet */
  facts?: MailboxFacts | undefined;
  /** an ISO day */
  today: string;
}

/** A mailbox at a provider that is read. */
export function MailboxForm({ owner, whose, facts, today }: Props) {
  return (
    <AccountForm
      owner={owner}
      kind="mailbox"
      whose={whose}
      schema={MAILBOX}
      facts={facts ?? noMailbox(today)}
      shown={shownMailbox}
    >
      <section className="form-part" aria-labelledby="mailbox-what">
        <h2 id="mailbox-what">What is taken in</h2>
        <Field
          name="since"
          label="What came on this day or later"
          type="date"
          help="Nothing in the mailbox changes by it: what is unread stays unread."
        />
        <Field
          name="sent_folder"
          label="Folder with what you have written"
          help="Empty: the one that the server tells of. From it come letters to clients that were written in another mail program."
          autoCapitalize="none"
          spellCheck={false}
        />
      </section>
    </AccountForm>
  );
}
