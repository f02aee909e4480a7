import type { SendingAccountFacts } from '../../core/contract/records/sendingAccount';
import type { SendingAccount } from '../../data/repositories/accounts/mailAccounts';
import { tryServer } from '../../post/tryServer';
import type { AccountKind } from './accountKind';

/** By which server letters leave: it takes letters from everybody who would send by it. */
export const SENDING_KIND: AccountKind<SendingAccountFacts, SendingAccount> = {
  kind: 'sending',
  row: ({ envelope_address, most, per }) => ({
    envelope_address: envelope_address ?? null,
    most: most ?? null,
    per: most === undefined ? null : per,
  }),
  facts: ({ envelope_address, most, per }) => ({
    ...(envelope_address === null ? {} : { envelope_address }),
    ...(most === null ? {} : { most }),
    per: per ?? 'hour',
  }),
  async tryOut(server, _, senders) {
    const wrong = await tryServer(server, senders);
    // Who may send is settled by whom one signs in as.
    return wrong && { ...wrong, field: wrong.field === 'senders' ? 'user_name' : wrong.field };
  },
};
