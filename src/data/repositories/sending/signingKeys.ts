import type { RowOf } from '../../column';
import type { Database } from '../../database';
import type { SIGNING_KEY } from '../../models/mailAccount';

export type SigningKeyRow = RowOf<typeof SIGNING_KEY>;

/** The keys of a business, by the domains that letters are signed for. */
export async function signingKeys({ models }: Database, business_id: string): Promise<SigningKeyRow[]> {
  const found = await models.signing_key.findAll({ where: { business_id }, order: ['domain'], raw: true });
  return found as unknown as SigningKeyRow[];
}

export async function signingKey(
  { models }: Database,
  key: { business_id: string; domain: string },
): Promise<SigningKeyRow | undefined> {
  return ((await models.signing_key.findOne({ where: key, raw: true })) ?? undefined) as
    SigningKeyRow | undefined;
}

/** Keeps a new key. @throws UniqueConstraintError where the domain has one */
export async function keepSigningKey({ models }: Database, key: SigningKeyRow): Promise<void> {
  await models.signing_key.create(key);
}

/** Notes when a key's line was seen, or (null) that it is not there any more. @returns whether there is such a key */
export async function noteSeen(
  { models }: Database,
  key: { business_id: string; domain: string },
  seen_at: Date | null,
): Promise<boolean> {
  return (await models.signing_key.update({ seen_at }, { where: key }))[0] === 1;
}

export async function removeSigningKey(
  { models }: Database,
  key: { business_id: string; domain: string },
): Promise<boolean> {
  return (await models.signing_key.destroy({ where: key })) === 1;
}
