'use client';

import type { WhoseAccount } from '../../../core/contract/records/mailAccount';
import {
  NO_ACCOUNT,
  SENDING_ACCOUNT,
  shownAccount,
  type SendingAccountFacts,
} from '../../../core/contract/records/sendingAccount';
import { Choice, Field } from '../../forms/Field';
import { AccountForm } from './AccountForm';

interface Props {
  /** whose what is typed is, on this device */
  owner: string;
  whose: WhoseAccount;
  /** absent: there is none yet */
  facts?: SendingAccountFacts | undefined;
}

const PER = [
  ['minute', 'in a minute'],
  ['hour', 'in an hour'],
  ['day', 'in a day'],
] as const;

/** By which server letters leave. */
export function SendingAccountForm({ owner, whose, facts = NO_ACCOUNT }: Props) {
  return (
    <AccountForm
      owner={owner}
      kind="sending"
      whose={whose}
      schema={SENDING_ACCOUNT}
      facts={facts}
      shown={shownAccount}
    >
      <details className="form-part" open={facts.most !== undefined || facts.envelope_address !== undefined}>
        <summary>How much it takes, and where what comes back goes</summary>
        <Field
          name="most"
          label="At most so many letters"
          inputMode="numeric"
          help="Where your provider has a limit: half may go at once, the rest follows evenly. Empty: no limit."
        />
        <Choice name="per" label="Counted" options={PER} />
        <Field
          name="envelope_address"
          label="What comes back goes to"
          type="email"
          help="Empty: the address that a letter is from."
        />
      </details>
    </AccountForm>
  );
}
