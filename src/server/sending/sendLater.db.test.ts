import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { describe, expect, it } from 'vitest';
import { wordsOf } from '../../core/document/eachNode';
import { openDatabase } from '../../data/database';
import { holdLateLetters } from '../../data/repositories/sending/lateLetters';
import { takeLater } from '../../data/repositories/sending/laterLetters';
import { connection } from '../connection';
import { findLetters } from '../letters/findLetters';
import { oneLetter } from '../letters/oneLetter';
import { post } from '../letters/post';
import { showLetters } from '../letters/showLetters';
import { imke } from '../test/imke';
import { cureLetter } from './cureLetter';
import { sendDueLater } from './sendLater';
import { Sender } from './sender';
import { sendLetter } from './sendLetter';
import { takeBackLetter } from './takeBackLetter';
import { mailServer } from './test/mailServer';
import { sendingDatabase } from './test/sendingDatabase';
import { written } from './test/written';
import { writeOn } from './writeOn';

const ground = sendingDatabase();

const TOMORROW = '2026-11-26T08:00:00+00:00';
const REMINDER = { template: 'first-reminder', answers: {}, goesAt: TOMORROW };
const VISIT = { kind: 'booking', key: 'b-hartigan' } as const;

/** A letter for later, taken. */
async function put(more: Parameters<typeof written>[0] = {}): Promise<string> {
  const letter = await written({ choices: REMINDER, ...more });
  expect(await sendLetter(imke, letter)).toEqual({ result: 'later' });
  return letter.id;
}

const run = (sql: string) => ground.database.sequelize.query(sql);
const itsHourHasCome = () => run("update message set goes_at = now() where status = 'later'");

/** Looks once, as the worker does. */
async function look(): Promise<boolean> {
  const across = openDatabase(ground.database.url, { across: true });
  try {
    return await sendDueLater(across);
  } finally {
    await across.close();
  }
}

const letterOf = async (id: string) => (await oneLetter(imke, id))!;

describe('a letter for later', () => {
  it('waits for its hour, is filled again, and goes', async () => {
    const id = await put();
    expect(await look()).toBe(false);
    expect(await letterOf(id)).toMatchObject({ status: 'later', goes_at: TOMORROW, canBeWrittenOn: true });
    const server = await mailServer();
    await new Sender(ground.database, server.address).sendAllDue();
    expect(server.content).toEqual([]);

    await itsHourHasCome();
    expect(await look()).toBe(true);
    expect(await letterOf(id)).toMatchObject({ status: 'going', canBeWrittenOn: false });
    await new Sender(ground.database, server.address).sendAllDue();
    const sent = await letterOf(id);
    expect(sent.status).toBe('sent');
    expect(sent.events.map(({ kind }) => kind)).toEqual(['later', 'going', 'sent']);
    expect(sent.recipients.map(({ address }) => address)).toContain('accounts@thornholtcollege.example');
    expect(server.content.join('\n')).toContain('LPC-1048');
    server.close();
  });

  it('says what is so at its hour: the visit that is “tomorrow” now is “today”', async () => {
    const now = await written({ start: VISIT, choices: { template: 'visit-coming-up', answers: {} } });
    const then = await written({
      start: VISIT,
      choices: { template: 'visit-coming-up', answers: {}, goesAt: TOMORROW },
    });
    const subjectOf = ({ document }: typeof now) => wordsOf(document.content![0]!);
    expect([now, then].map(subjectOf)).toEqual(['Tuning visit tomorrow', 'Tuning visit today']);
    expect(await sendLetter(imke, then)).toEqual({ result: 'later' });
    const { text } = await letterOf(then.id);
    await itsHourHasCome();
    await look();
    expect((await letterOf(then.id)).text).toBe(text);
  });

  it('waits for a person where a fact has changed since, says which, and is not sent as it was', async () => {
    const id = await put();
    await run(
      `insert into payment (business_id, invoice_id, position, amount, paid_on)
       select business_id, id, 9, 10000, '2026-11-25' from invoice where key = 'LPC-1048'`,
    );
    await itsHourHasCome();
    await look();
    const held = await letterOf(id);
    expect(held).toMatchObject({ status: 'held', canBeWrittenOn: true });
    expect(held.reason).toMatch(/^At its hour something had changed: .* is now £542\.00\./);
    const { version } = held;
    expect(await cureLetter(imke, id, 'send', version)).toMatchObject({ result: 'changed' });
    expect((await letterOf(id)).status).toBe('held');
  });

  it('waits for a person where the proof has something to say by then', async () => {
    const id = await put();
    await run("update client set no_letters_since = '2026-11-25' where key = 'college'");
    await itsHourHasCome();
    await look();
    expect(await letterOf(id)).toMatchObject({
      status: 'held',
      reason: expect.stringMatching(/^At its hour the proof had something to say: /) as string,
    });
  });

  it('waits for a person where its record is gone, and where it cannot be filled', async () => {
    const [gone, broken] = [
      await put({ start: VISIT, choices: { ...REMINDER, template: 'visit-coming-up' } }),
      await put(),
    ];
    await run("update letter_for_later set starting_key = 'nowhere' where message_id = '" + gone + "'");
    await run(`update letter_for_later set document = '{"type":"doc"}' where message_id = '${broken}'`);
    await itsHourHasCome();
    await look();
    expect((await letterOf(gone)).reason).toBe('At its hour its record was no longer there.');
    expect(await letterOf(broken)).toMatchObject({
      status: 'held',
      reason: expect.stringContaining('could not be filled again') as string,
    });
  });

  it('goes once, whoever looks, and one that was taken back does not', async () => {
    const [id, other] = [await put(), await put({ start: { kind: 'invoice', key: 'LPC-1052' } })];
    expect(await takeBackLetter(imke, other)).toEqual({ status: 'taken back', taken: true });
    await itsHourHasCome();
    await Promise.all([look(), look(), look()]);
    const { events } = await letterOf(id);
    expect(events.map(({ kind }) => kind)).toEqual(['later', 'going']);
    expect((await letterOf(other)).status).toBe('taken back');
  });

  it('is in one hand at a time, and is for later again when that hand was killed', async () => {
    const id = await put();
    await itsHourHasCome();
    const letter = { business_id: imke.business_id, id };
    const other = openDatabase(ground.database.url, { across: true });
    await connection()
      .inBusiness(imke.business_id, async () => {
        expect(await takeLater(connection(), letter)).toMatchObject({ id });
        expect(await takeLater(other, letter)).toBeUndefined();
        throw new Error('killed');
      })
      .catch(() => undefined);
    expect(await takeLater(other, letter)).toMatchObject({ id });
    await other.close();
  });

  it('is held when its hour passed long ago, and when its database was copied', async () => {
    const id = await put();
    await run("update message set goes_at = now() - interval '7 hours' where status = 'later'");
    expect(await look()).toBe(false);
    await holdLateLetters(ground.database, new Date());
    expect((await letterOf(id)).reason).toContain('It should have gone more than 6 hours ago');
  });

  it('goes at no hour that has passed, and within a year', async () => {
    for (const [goesAt, said] of [
      ['2026-11-25T08:00:00+00:00', 'Today at 08:00 has passed. Choose another time.'],
      ['2028-01-01T08:00:00+00:00', 'That is more than a year away. A letter can wait 366 days.'],
      ['tomorrow', 'That is no day and time. Choose both.'],
    ]) {
      const letter = await written({ choices: { ...REMINDER, goesAt: goesAt! } });
      expect(await sendLetter(imke, letter), goesAt).toEqual({ result: 'stopped', stops: [said] });
    }
  });

  it('stands in Post before what has gone, with when it goes', async () => {
    await put();
    const [first] = (await post(imke)).letters.filter(({ status }) => status === 'later');
    const [shown] = await showLetters(imke, [first!]);
    expect(shown).toMatchObject({ status: 'later', goes: 'tomorrow at 08:00' });
    const [found] = await findLetters(imke, 'LPC-1048 open');
    expect(found).toMatchObject({ status: 'later' });
  });
});

describe('a letter for later is written on', () => {
  it('with what it was written with, and goes no more', async () => {
    const letter = await written({ choices: REMINDER });
    await sendLetter(imke, letter);
    const answer = (await writeOn(imke, letter.id))!;
    expect(answer).toMatchObject({ from: 'invoice:LPC-1048', member: 'imke', template: 'First reminder' });
    expect(answer.letter.choices).not.toHaveProperty('goesAt');
    expect(answer.letter.document).toEqual(letter.document);
    expect(answer.base).toEqual(letter.document);
    expect((await letterOf(letter.id)).status).toBe('taken back');
    // An answer that was lost on its way can be asked for again.
    expect(await writeOn(imke, letter.id)).toEqual(answer);
    await itsHourHasCome();
    expect(await look()).toBe(false);
  });

  it('when it was held, too; not when it is on its way, or none of ours', async () => {
    const id = await put();
    await run("update client set no_letters_since = '2026-11-25' where key = 'college'");
    await itsHourHasCome();
    await look();
    expect(await writeOn(imke, id)).toBeDefined();
    const going = await written({ start: VISIT, choices: { template: 'visit-coming-up', answers: {} } });
    await sendLetter(imke, going);
    expect(await writeOn(imke, going.id)).toBeUndefined();
    expect((await letterOf(going.id)).status).toBe('going');
    expect(await writeOn(imke, randomUUID())).toBeUndefined();
    expect(await writeOn(imke, 'no id')).toBeUndefined();
  });
});

it('what a letter for later was written with is kept as long as it may be needed', async () => {
  const id = await put();
  await itsHourHasCome();
  await look();
  const kept = await ground.database.sequelize.query(
    'select 1 from letter_for_later where message_id = $id',
    {
      bind: { id },
      type: QueryTypes.SELECT,
    },
  );
  expect(kept).toEqual([]);
});
