import { randomUUID } from 'node:crypto';
import type { Database } from '../../../data/database';
import { keepAccount, type SendingAccount } from '../../../data/repositories/accounts/mailAccounts';
import { seal } from '../../sealing/seal';
import { imke } from '../../test/imke';
import type { TalkingServer } from './mailServer';

/** Keeps an account of the demonstration business that leads to a server. */
export async function accountAt(
  database: Database,
  { address: { host, port, credentials } }: Pick<TalkingServer, 'address'>,
  more: Partial<SendingAccount> = {},
): Promise<SendingAccount> {
  process.env.SEALING_KEY ??= Buffer.alloc(32, 7).toString('base64');
  process.env.MAIL_SERVERS = 'any';
  const id = randomUUID();
  const { business_id } = imke;
  const account: SendingAccount = {
    business_id,
    id,
    member_id: null,
    host,
    port,
    security: 'none',
    sign_in: credentials ? 'password' : 'none',
    user_name: credentials?.user ?? null,
    secret: credentials ? seal(credentials.pass, { business_id, name: id }) : null,
    provider: null,
    envelope_address: null,
    most: null,
    per: null,
    version: 1,
    ...more,
  };
  await keepAccount(database, 'sending', account);
  return account;
}
