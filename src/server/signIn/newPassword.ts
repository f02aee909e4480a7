import { randomInt } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { openDatabase } from '../../data/database';
import { inSentence } from '../../data/databaseError';
import { hashPassword } from '../../data/password';

/** Letters and figures that nobody takes for each other. */
const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789';
const GROUPS = 4;
const OF_GROUP = 5;

/**
 * Gives whoever signs in with an address a new password, for the command line: who has forgotten theirs, or was brought back. Wherever
 * they were signed in they are no more.
 * @throws Error with a sentence
 */
export async function giveNewPassword(url: string, email: string): Promise<string> {
  const database = openDatabase(url, { connections: 1, across: true });
  try {
    const password = Array.from({ length: GROUPS }, () =>
      Array.from({ length: OF_GROUP }, () => LETTERS[randomInt(LETTERS.length)]).join(''),
    ).join('-');
    const password_hash = await hashPassword(password);
    return await database.acrossBusinesses(async () => {
      const [member] = await database.sequelize.query<{ business_id: string; id: string }>(
        'update member set password_hash = $password_hash where lower(email) = lower($email) returning business_id, id',
        { bind: { password_hash, email }, type: QueryTypes.SELECT },
      );
      if (!member) throw new Error(`Nobody signs in with ${email} here.`);
      await database.sequelize.query(
        'update session set revoked_at = now() where business_id = $business_id and member_id = $id and revoked_at is null',
        { bind: { ...member } },
      );
      return password;
    });
  } catch (error) {
    throw inSentence(error);
  } finally {
    await database.close();
  }
}
