import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { matchesPassword, hashPassword } from '../../data/password';
import { connection } from '../connection';
import { hashToken, openSession, type Session } from './openSession';

/** Tries are remembered for so long. */
const WINDOW_MINUTES = 15;
/** So many tries are free; after them each wants a pause that doubles, up to a minute. */
const FREE_TRIES = 5;
const LONGEST_PAUSE = 60;
/** From one address, whomever they are for: spraying one password over many accounts is limited, too. */
const MOST_FROM_ADDRESS = 40;

export type SignIn = Session | { refused: 'wrong' | 'too many' | 'busy' };

/**
 * Signs a member in by address and password. Every try counts before its password is looked at, so that many at once are
 * no way around it. Whoever fails must wait ever longer before the next try from the same place; tries by others lock
 * nobody out. What is wrong of the two is never told.
 * @param from where the try comes from
 */
export async function signIn(email: string, password: string, from = 'unknown'): Promise<SignIn> {
  const { sequelize, inTransaction, acrossBusinesses } = connection();
  const subject = email.trim().toLowerCase();
  const before = await inTransaction(async () => {
    // One after another for one person from one place: of many at once each sees those before it.
    await sequelize.query('select pg_advisory_xact_lock(hashtextextended($who, 0))', {
      bind: { who: `${subject} ${from}` },
    });
    const [tries] = await sequelize.query<{ own: number; since: number | null; all: number }>(
      `with this_one as (insert into sign_in_attempt (subject, address, at) values ($subject, $from, clock_timestamp()))
       select count(*) filter (where subject = $subject)::int as own,
         extract(epoch from clock_timestamp() - max(at) filter (where subject = $subject))::float as since,
         count(*)::int as all
       from sign_in_attempt where address = $from and at > now() - make_interval(mins => $minutes)`,
      { bind: { subject, from, minutes: WINDOW_MINUTES }, type: QueryTypes.SELECT },
    );
    return tries;
  });
  const { own = 0, since, all = 0 } = before ?? {};
  const pause = own < FREE_TRIES ? 0 : Math.min(LONGEST_PAUSE, 2 ** (own - FREE_TRIES + 1));
  if ((since ?? Infinity) < pause || all >= MOST_FROM_ADDRESS) return { refused: 'too many' };
  const [member] = await acrossBusinesses(() =>
    sequelize.query<{ business_id: string; id: string; password_hash: string }>(
      'select business_id, id, password_hash from member where lower(email) = $subject',
      { bind: { subject }, type: QueryTypes.SELECT },
    ),
  );
  // Without a member the work is the same, so that the time tells nothing.
  const stored = member?.password_hash ?? (await decoy());
  const right = await inTurn(() => matchesPassword(password, stored));
  if (right === 'busy') return { refused: 'busy' };
  if (!member || !right) return { refused: 'wrong' };
  await sequelize.query('delete from sign_in_attempt where subject = $subject and address = $from', {
    bind: { subject, from },
  });
  return openSession(member.business_id, member.id);
}

/** Ends a session, whether it is still good or not. A device that signs in anew ends its former one so. */
export async function signOut(token: string): Promise<void> {
  const { models, acrossBusinesses } = connection();
  await acrossBusinesses(() =>
    models.session.update({ revoked_at: new Date() }, { where: { token_hash: hashToken(token) } }),
  );
}

/** Hashing takes a processor for a while: so many at once, and so many waiting, or real sign-ins would wait for all tries. */
const AT_ONCE = 2;
const MOST_WAITING = 20;
let hashing = 0;
const waiting: (() => void)[] = [];

async function inTurn<T>(work: () => Promise<T>): Promise<T | 'busy'> {
  if (hashing >= AT_ONCE) {
    if (waiting.length >= MOST_WAITING) return 'busy';
    await new Promise<void>((go) => waiting.push(go));
  }
  hashing++;
  try {
    return await work();
  } finally {
    hashing--;
    waiting.shift()?.();
  }
}

let decoyHash: Promise<string> | undefined;

function decoy(): Promise<string> {
  return (decoyHash ??= hashPassword(randomUUID()));
}
