import { QueryTypes } from 'sequelize';
import { takeKey } from './freeKey';
import type { Database } from '../database';

/** Writes an invitation down; those that are long over go. */
export async function keepInvitation(
  { sequelize }: Database,
  token_hash: string,
  at: Date,
  until: Date,
): Promise<void> {
  await sequelize.query("delete from invitation where expires_at < $at::timestamptz - interval '30 days'", {
    bind: { at },
  });
  await sequelize.query(
    'insert into invitation (token_hash, made_at, expires_at) values ($token_hash, $at, $until)',
    {
      bind: { token_hash, at, until },
    },
  );
}

/** Whether an invitation is good still. */
export async function isGoodInvitation(
  { sequelize }: Database,
  token_hash: string,
  at: Date,
): Promise<boolean> {
  const found = await sequelize.query(
    'select 1 from invitation where token_hash = $token_hash and used_at is null and expires_at > $at',
    { bind: { token_hash, at }, type: QueryTypes.SELECT },
  );
  return found.length > 0;
}

/** Uses an invitation up; gives whether it was good. */
export async function useInvitation({ sequelize }: Database, token_hash: string, at: Date): Promise<boolean> {
  const used = await sequelize.query(
    `update invitation set used_at = $at where token_hash = $token_hash and used_at is null and expires_at > $at
     returning token_hash`,
    { bind: { token_hash, at }, type: QueryTypes.SELECT },
  );
  return used.length > 0;
}

/** Whether somebody signs in with an address. */
export async function isAddressKnown({ sequelize }: Database, email: string): Promise<boolean> {
  const found = await sequelize.query('select 1 from member where lower(email) = lower($email)', {
    bind: { email },
    type: QueryTypes.SELECT,
  });
  return found.length > 0;
}

/** A key for a new business: the one wanted, or with the first number behind it that no other has. */
export async function freeBusinessKey({ models }: Database, wanted: string): Promise<string> {
  const all = (await models.business.findAll({ attributes: ['key'], raw: true })) as unknown as {
    key: string;
  }[];
  return takeKey(new Set(all.map(({ key }) => key)), wanted);
}

/** Whether the owners of a business may invite others to make one here. */
export async function mayInvite({ models }: Database, business_id: string): Promise<boolean> {
  const found = (await models.business.findByPk(business_id, {
    attributes: ['invites'],
    raw: true,
  })) as unknown as { invites: boolean } | null;
  return found?.invites ?? false;
}
