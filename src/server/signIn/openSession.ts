import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { connection } from '../connection';

/** A session lasts thirty days from signing in. */
const SESSION_DAYS = 30;

export interface Session {
  token: string;
  expires: Date;
}

/** Opens a session of a member who has said who they are. */
export async function openSession(business_id: string, member_id: string): Promise<Session> {
  const { models, inBusiness } = connection();
  const token = randomBytes(32).toString('base64url');
  const expires = new Date(Date.now() + SESSION_DAYS * 86_400_000);
  await inBusiness(business_id, () =>
    models.session.create({
      business_id,
      id: randomUUID(),
      member_id,
      token_hash: hashToken(token),
      created_at: new Date(),
      seen_at: new Date(),
      expires_at: expires,
    }),
  );
  return { token, expires };
}

/** Tokens are kept hashed: what is read from the database signs nobody in. */
export function hashToken(token: string): string {
  return createHash('sha256').update(token).digest('hex');
}
