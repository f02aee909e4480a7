import { randomBytes } from 'node:crypto';
import { INVITED_FOR_DAYS } from '../../core/contract/settingUp';
import { openDatabase, type Database } from '../../data/database';
import { inSentence } from '../../data/databaseError';
import { isGoodInvitation, keepInvitation, mayInvite as may } from '../../data/repositories/invitations';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { hashToken } from '../signIn/openSession';
import { NotAllowed } from '../signIn/rights';

/** Whether a member may invite others to make a business here: an owner of the first one. */
export const mayInvite = forMember(
  async ({ business_id, role }: CurrentMember): Promise<boolean> =>
    role === 'owner' && (await may(connection(), business_id)),
);

/** Invites somebody to make a business here; gives what the invitation is known by, once. @throws NotAllowed */
export const invite = forMember(async (member: CurrentMember): Promise<string> => {
  if (!(await mayInvite(member))) throw new NotAllowed('An owner of the first business here does this.');
  return makeInvitation(connection());
});

/** Whether an invitation is good still. */
export function isInvitation(token: string): Promise<boolean> {
  return isGoodInvitation(connection(), hashToken(token), new Date(now()));
}

/** The same from the command line. @throws Error with a sentence */
export async function inviteFromCommandLine(url: string): Promise<string> {
  const database = openDatabase(url, { connections: 1, across: true });
  try {
    return await makeInvitation(database);
  } catch (error) {
    throw inSentence(error);
  } finally {
    await database.close();
  }
}

async function makeInvitation(database: Database): Promise<string> {
  const token = randomBytes(24).toString('base64url');
  const at = now();
  await keepInvitation(
    database,
    hashToken(token),
    new Date(at),
    new Date(at + INVITED_FOR_DAYS * 86_400_000),
  );
  return token;
}
