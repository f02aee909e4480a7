import { randomUUID } from 'node:crypto';
import path from 'node:path';
import type { NewBusiness } from '../../core/contract/settingUp';
import { countryDefaults } from '../../core/records/countryDefaults';
import { keyOfName } from '../../core/template/keyOfName';
import { hashPassword } from '../../data/password';
import { insertRows } from '../../data/insertRows';
import { readStarters } from '../../data/starters/readStarters';
import { templateRows } from '../../data/starters/templateRows';
import { connection } from '../connection';
import { freeBusinessKey, isAddressKnown, useInvitation } from '../../data/repositories/invitations';
import { now } from '../clock';
import { hashToken, openSession, type Session } from '../signIn/openSession';

/** Where the starters are that ship with the application. */
const STARTERS = path.join(process.cwd(), 'src', 'data', 'starters');

/** Whether there is no business yet, so that one may be made by whoever comes first. */
export async function isNobodyHere(): Promise<boolean> {
  const { models, acrossBusinesses } = connection();
  return acrossBusinesses(async () => (await models.business.count()) === 0);
}

/** What came of making one: its owner is signed in, or why there is none. */
export type MadeBusiness =
  | { result: 'made'; session: Session }
  /** there is one by now, or the invitation is good no more */
  | { result: 'closed' }
  /** somebody signs in with the owner's address already */
  | { result: 'known' };

/**
 * Makes a business with its owner and what it writes with from its first day, and signs the owner in: the first one, or one that
 * somebody was invited to make.
 */
export async function makeBusiness({ invited, ...asked }: NewBusiness): Promise<MadeBusiness> {
  if (invited === undefined && !(await isNobodyHere())) return { result: 'closed' };
  const { name, country, full_name, email, password, languages, timeZone } = asked;
  const starters = await readStarters(STARTERS);
  const [id, member] = [randomUUID(), randomUUID()];
  const habits = countryDefaults(country, { languages: languages ?? [], timeZone });
  const password_hash = await hashPassword(password);
  const database = connection();
  const { sequelize, models, acrossBusinesses } = database;
  const result = await acrossBusinesses(async (): Promise<MadeBusiness['result']> => {
    // Of two who press at once, one makes it.
    await sequelize.query("select pg_advisory_xact_lock(hashtextextended('the first business', 0))");
    const isFirst = (await models.business.count()) === 0;
    if (invited === undefined && !isFirst) return 'closed';
    if (await isAddressKnown(database, email)) return 'known';
    if (invited !== undefined && !(await useInvitation(database, hashToken(invited), new Date(now()))))
      return 'closed';
    const key = await freeBusinessKey(database, keyOfName(name, 'business'));
    await insertRows(models, {
      business: [
        {
          id,
          key,
          name,
          ...habits,
          email,
          item_label: 'item',
          booking_label: 'booking',
          set_up: {},
          invites: isFirst,
        },
      ],
      member: [
        {
          business_id: id,
          id: member,
          key: keyOfName(full_name, 'owner'),
          full_name,
          email,
          role: 'owner',
          password_hash,
        },
      ],
      ...templateRows({ ...starters, signatures: [] }, id),
    });
    return 'made';
  });
  return result === 'made' ? { result, session: await openSession(id, member) } : { result };
}
