import { Op, type Model, type ModelStatic } from 'sequelize';
import type { KindOfAccount } from '../../../core/contract/records/mailAccount';
import type { RowOf } from '../../column';
import type { Database } from '../../database';
import type { MAILBOX, SENDING_ACCOUNT } from '../../models/mailAccount';

/** How far it is with its rate is for whoever claims letters alone (pacedLetters). */
export type SendingAccount = Omit<RowOf<typeof SENDING_ACCOUNT>, 'full_at'>;
/** Who reads it, and how that goes, is for whoever reads it (mailboxes). */
export type Mailbox = Omit<
  RowOf<typeof MAILBOX>,
  'read_by' | 'read_until' | 'read_at' | 'trouble_since' | 'trouble' | 'left_out'
>;

/** What is kept of each kind of account. */
export interface AccountRows {
  sending: SendingAccount;
  mailbox: Mailbox;
}
/** An account of either kind. */
export type MailAccount = AccountRows[KindOfAccount];
/** An account as it is kept; without a secret: the one that is there stays. */
export type Kept<Row extends MailAccount> = Omit<Row, 'secret'> & { secret?: Row['secret'] };

/** Which account: its row. */
export interface AccountKey {
  business_id: string;
  id: string;
}

const TABLE = { sending: 'sending_account', mailbox: 'mailbox' } as const;

/** What is done here is done with the columns that both have. */
function tableOf({ models }: Database, kind: KindOfAccount): ModelStatic<Model> {
  return models[TABLE[kind]];
}

/** An account with its secret. @param lock nobody else changes it until the transaction ends */
export async function accountOfId<Kind extends KindOfAccount>(
  database: Database,
  kind: Kind,
  { business_id, id }: AccountKey,
  { lock = false } = {},
): Promise<AccountRows[Kind] | undefined> {
  const found = await tableOf(database, kind).findOne({ where: { business_id, id }, raw: true, lock });
  return (found as unknown as AccountRows[Kind] | null) ?? undefined;
}

/** The account of a member, or (null) of everybody who has none. */
export async function accountOf<Kind extends KindOfAccount>(
  database: Database,
  kind: Kind,
  business_id: string,
  member_id: string | null,
): Promise<AccountRows[Kind] | undefined> {
  const found = await tableOf(database, kind).findOne({ where: { business_id, member_id }, raw: true });
  return (found as unknown as AccountRows[Kind] | null) ?? undefined;
}

/**
 * Keeps an account whole: a new one as of version 1, another where it still is as of the version before. Its trouble is over.
 * @returns whether it was
 * @throws UniqueConstraintError where there is one by now
 */
export async function keepAccount<Kind extends KindOfAccount>(
  database: Database,
  kind: Kind,
  account: Kept<AccountRows[Kind]>,
): Promise<boolean> {
  const { business_id, id, version } = account;
  await forget(database, kind, account);
  const table = tableOf(database, kind);
  if (version === 1) return (await table.create(account)) !== null;
  const [changed] = await table.update(account, {
    where: { business_id, id, version: version - 1 },
  });
  return changed === 1;
}

/** Takes an account out, with what is known of it. */
export async function removeAccount(
  database: Database,
  kind: KindOfAccount,
  business_id: string,
  member_id: string | null,
): Promise<boolean> {
  const account = await accountOf(database, kind, business_id, member_id);
  if (!account) return false;
  await forget(database, kind, account);
  await tableOf(database, kind).destroy({ where: { business_id, id: account.id } });
  return true;
}

/** What was known of an account as it was: its trouble, and how far a mailbox was read. */
async function forget(
  { sequelize, models }: Database,
  kind: KindOfAccount,
  { business_id, id }: AccountKey,
): Promise<void> {
  if (kind === 'sending')
    return void (await sequelize.query('delete from sending_trouble where account_id = $id', {
      bind: { id },
    }));
  await models.mailbox_folder.destroy({ where: { business_id, mailbox_id: id } });
  await models.mailbox.update(
    { read_by: null, read_until: new Date(0), trouble: null, trouble_since: null, left_out: 0 },
    { where: { business_id, id } },
  );
}

/** Keeps another secret for the same signing in. */
export async function keepSecret(
  database: Database,
  kind: KindOfAccount,
  { business_id, id }: AccountKey,
  secret: Buffer,
): Promise<void> {
  await tableOf(database, kind).update({ secret }, { where: { business_id, id } });
}

/** Every secret there is, of every business, to be sealed anew. */
export async function sealAllAnew(
  database: Database,
  sealAnew: (sealed: Buffer, whose: { business_id: string; name: string }) => Buffer,
): Promise<number> {
  let sealed = 0;
  for (const kind of ['sending', 'mailbox'] as const) {
    const accounts = await tableOf(database, kind).findAll({
      where: { secret: { [Op.not]: null } },
      raw: true,
    });
    for (const account of accounts as unknown as MailAccount[]) {
      const { business_id, id, secret } = account;
      await keepSecret(database, kind, account, sealAnew(secret!, { business_id, name: id }));
    }
    sealed += accounts.length;
  }
  const keys = await database.models.signing_key.findAll();
  for (const key of keys) {
    const { business_id, domain, private_key } = key.get();
    await key.update({ private_key: sealAnew(private_key, { business_id, name: domain }) });
  }
  return sealed + keys.length;
}
