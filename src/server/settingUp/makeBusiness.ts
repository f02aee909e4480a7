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
import { openSession, type Session } from '../signIn/openSession';

/** Where the starters are that ship with the application. */
const STARTERS = path.join(process.cwd(), 'src', 'data', 'starters');

/** Whether there is no business yet, so that one may be made by whoever comes first. */
export async function isNobodyHere(): Promise<boolean> {
  const { models, acrossBusinesses } = connection();
  return acrossBusinesses(async () => (await models.business.count()) === 0);
}

/**
 * Makes the first business with its owner and what it writes with from its first day, and signs the owner in. Undefined: there
 * is one by now.
 */
export async function makeFirstBusiness(asked: NewBusiness): Promise<Session | undefined> {
  if (!(await isNobodyHere())) return undefined;
  const { name, country, full_name, email, password, languages, timeZone } = asked;
  const starters = await readStarters(STARTERS);
  const [id, member] = [randomUUID(), randomUUID()];
  const habits = countryDefaults(country, { languages: languages ?? [], timeZone });
  const password_hash = await hashPassword(password);
  const { sequelize, models, acrossBusinesses } = connection();
  const made = await acrossBusinesses(async () => {
    // Of two who press at once, one makes it.
    await sequelize.query("select pg_advisory_xact_lock(hashtextextended('the first business', 0))");
    if ((await models.business.count()) > 0) return false;
    await insertRows(models, {
      business: [
        {
          id,
          key: keyOfName(name, 'business'),
          name,
          ...habits,
          email,
          item_label: 'item',
          booking_label: 'booking',
          set_up: {},
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
    return true;
  });
  return made ? openSession(id, member) : undefined;
}
