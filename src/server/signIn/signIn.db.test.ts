import { beforeEach, describe, expect, it } from 'vitest';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { currentMember } from './currentMember';
import { changeSettings } from '../settings';
import { signIn, signOut } from './signIn';
import { tidySessions } from './tidySessions';

const ground = demonstrationDatabase();
beforeEach(() => ground.database.sequelize.query('delete from sign_in_attempt'));

const imke = ['imke@larkfield.example', 'larkfield-imke'] as const;

async function token(): Promise<string> {
  const result = await signIn(...imke);
  if (!('token' in result)) throw new Error(result.refused);
  return result.token;
}

describe('signing in', () => {
  it('gives a session for the member', async () => {
    expect(await currentMember(await token())).toMatchObject({
      full_name: 'Imke Sandoval',
      business_name: 'Larkfield Piano Care',
      role: 'owner',
    });
  });

  it('takes the address in any case', async () => {
    expect(await signIn(' IMKE@Larkfield.example ', imke[1])).toHaveProperty('token');
  });

  it('refuses a wrong password and an unknown address alike', async () => {
    expect(await signIn(imke[0], 'wrong')).toEqual({ refused: 'wrong' });
    expect(await signIn('nobody@larkfield.example', imke[1])).toEqual({ refused: 'wrong' });
  });

  it('wants ever longer pauses after five failures, and tests no more passwords however many come at once', async () => {
    const place = '192.0.2.1';
    const many = await Promise.all(Array.from({ length: 60 }, () => signIn(imke[0], 'wrong', place)));
    const refused = many.map((one) => ('refused' in one ? one.refused : 'in'));
    expect(refused.filter((one) => one === 'wrong')).toHaveLength(5);
    expect(refused.filter((one) => one === 'too many')).toHaveLength(55);
    expect(await signIn(...imke, place)).toEqual({ refused: 'too many' });
  });

  it('is not kept from its owner by the tries of others', async () => {
    expect(await signIn(...imke, '192.0.2.2')).toHaveProperty('token');
  });

  it('one password over many accounts is limited by where it comes from', async () => {
    const place = '192.0.2.3';
    const tries: unknown[] = [];
    for (let i = 0; i < 45; i++) tries.push(await signIn(`somebody-${i}@larkfield.example`, 'spring', place));
    expect(tries[0]).toEqual({ refused: 'wrong' });
    expect(tries.at(-1)).toEqual({ refused: 'too many' });
  });

  it('keeps no token that could be read from the database', async () => {
    const secret = await token();
    const rows = (await ground.database.models.session.findAll({ raw: true })) as unknown as {
      token_hash: string;
    }[];
    expect(rows.some(({ token_hash }) => token_hash === secret)).toBe(false);
  });
});

describe('a session', () => {
  it('ends by signing out', async () => {
    const secret = await token();
    await signOut(secret);
    expect(await currentMember(secret)).toBeUndefined();
  });

  it('ends by its time, and is tidied away a week later', async () => {
    const secret = await token();
    await ground.database.sequelize.query(
      "update session set created_at = now() - interval '40 days', expires_at = now() - interval '8 days'",
    );
    expect(await currentMember(secret)).toBeUndefined();
    await tidySessions(ground.database);
    expect(await ground.database.models.session.count()).toBe(0);
  });

  it('ends when it is not used for longer than the business lets pass', async () => {
    const secret = await token();
    const away = (days: number) =>
      ground.database.sequelize.query(`update session set seen_at = now() - interval '${days} days'`);
    await away(13);
    expect(await currentMember(secret)).toBeDefined();
    // Now it has been used.
    await ground.database.sequelize.query("update session set seen_at = seen_at - interval '13 days'");
    expect(await currentMember(secret)).toBeDefined();
    const member = (await currentMember(secret))!;
    await away(15);
    expect(await currentMember(secret)).toBeUndefined();
    await changeSettings(member, { idleDays: 20 });
    expect(await currentMember(secret)).toBeDefined();
  });

  it('is none for anything else', async () => {
    expect(await currentMember(undefined)).toBeUndefined();
    expect(await currentMember("' or true --")).toBeUndefined();
  });
});
