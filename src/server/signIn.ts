import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { matchesPassword, hashPassword } from '../data/password';
import { connection } from './connection';

/** A session lasts thirty days from signing in. */
export const SESSION_DAYS = 30;
const WINDOW_MINUTES = 15;
const MOST_ATTEMPTS = 8;

export type SignIn = { token: string; expires: Date } | { refused: 'wrong' | 'too many' };

/**
 * Signs a member in by address and password. After eight failures for an address within fifteen minutes nothing is
 * tried any more. What is wrong of the two is never told.
 */
export async function signIn(email: string, password: string): Promise<SignIn> {
  const { sequelize, models } = connection();
  const subject = email.trim().toLowerCase();
  const [attempts] = await sequelize.query<{ count: number }>(
    `select count(*)::int as count from sign_in_attempt
     where subject = $subject and at > now() - make_interval(mins => $minutes)`,
    { bind: { subject, minutes: WINDOW_MINUTES }, type: QueryTypes.SELECT },
  );
  if ((attempts?.count ?? 0) >= MOST_ATTEMPTS) return { refused: 'too many' };
  const [member] = await sequelize.query<{ business_id: string; id: string; password_hash: string }>(
    'select business_id, id, password_hash from member where lower(email) = $subject',
    { bind: { subject }, type: QueryTypes.SELECT },
  );
  // Without a member the work is the same, so that the time tells nothing.
  const right = await matchesPassword(password, member?.password_hash ?? (await decoy()));
  if (!member || !right) {
    await sequelize.query('insert into sign_in_attempt (subject) values ($subject)', { bind: { subject } });
    return { refused: 'wrong' };
  }
  await sequelize.query('delete from sign_in_attempt where subject = $subject', { bind: { subject } });
  const token = randomBytes(32).toString('base64url');
  const expires = new Date(Date.now() + SESSION_DAYS * 86_400_000);
  await models.session.create({
    business_id: member.business_id,
    id: randomUUID(),
    member_id: member.id,
    token_hash: hashToken(token),
    created_at: new Date(),
    expires_at: expires,
  });
  return { token, expires };
}

/** Ends a session, whether it is still good or not. */
export async function signOut(token: string): Promise<void> {
  await connection().models.session.update(
    { revoked_at: new Date() },
    { where: { token_hash: hashToken(token) } },
  );
}

/** Tokens are kept hashed: what is read from the database signs nobody in. */
export function hashToken(token: string): string {
  return createHash('sha256').update(token).digest('hex');
}

let decoyHash: Promise<string> | undefined;

function decoy(): Promise<string> {
  return (decoyHash ??= hashPassword(randomUUID()));
}
