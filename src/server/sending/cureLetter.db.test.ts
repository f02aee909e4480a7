import { expect, it } from 'vitest';
import { stableId } from '../../data/stableId';
import { oneLetter } from '../letters/oneLetter';
import { post } from '../letters/post';
import { imke } from '../test/imke';
import { today } from '../today/today';
import { cureLetter } from './cureLetter';
import { needsSomebody } from './needsSomebody';
import { Sender } from './sender';
import { sendLetter } from './sendLetter';
import { takeBackLetter } from './takeBackLetter';
import { mailServer } from './test/mailServer';
import { written } from './test/written';
import { sendingDatabase } from './test/sendingDatabase';

const ground = sendingDatabase();

const HELD = stableId('message', 'm-held-1034');

const needing = async () =>
  (await needsSomebody(imke)).letters.map(({ subject, status }) => `${status}: ${subject}`);

/** A letter that the mail server answered so. */
async function answered(words: string): Promise<string> {
  const letter = await written();
  expect(await sendLetter(imke, letter)).toMatchObject({ result: 'going' });
  await ground.database.sequelize.query(`update message set goes_at = now() where id = '${letter.id}'`);
  const server = await mailServer({ contents: [words] });
  await new Sender(ground.database, server.address).sendAllDue();
  server.close();
  return letter.id;
}

const versionOf = async (id: string) => (await oneLetter(imke, id))!.version;

it('what did not go stands on Today and first in Post until somebody has dealt with it', async () => {
  expect(await needing()).toEqual([
    'held: Invoice LPC-1034: a second word',
    'bounced: Tuning visit confirmed',
  ]);
  const id = await answered('554 No such person');
  expect((await needing())[0]).toBe('failed: Invoice LPC-1048 is still open');
  expect((await post(imke)).letters.slice(0, 3).map(({ status }) => status)).toEqual([
    'failed',
    'held',
    'bounced',
  ]);
  expect(await cureLetter(imke, id, 'settle', await versionOf(id))).toMatchObject({ result: 'done' });
  expect(await oneLetter(imke, id)).toMatchObject({ status: 'failed', settled_by: 'Imke Sandoval' });
  expect(await needing()).toHaveLength(2);
  expect(await cureLetter(imke, id, 'unsettle', await versionOf(id))).toMatchObject({ result: 'done' });
  expect(await needing()).toHaveLength(3);
});

it('a letter that failed is sent again as it was, and can be taken back like any', async () => {
  const id = await answered('554 Not today');
  expect(await cureLetter(imke, id, 'send', await versionOf(id))).toMatchObject({ status: 'going' });
  expect(await oneLetter(imke, id)).toMatchObject({
    status: 'going',
    reason: null,
    goes_in: expect.any(Number),
  });
  await ground.database.sequelize.query(`update message set goes_at = now() where id = '${id}'`);
  const server = await mailServer();
  await new Sender(ground.database, server.address).sendAllDue();
  expect(await oneLetter(imke, id)).toMatchObject({
    status: 'sent',
    events: [
      { kind: 'going' },
      { kind: 'failed' },
      { kind: 'going', detail: 'By Imke Sandoval.' },
      { kind: 'sent' },
    ],
  });
  server.close();
});

it('a letter that was held goes, though it has no HTML and no sender of its own, or does not', async () => {
  expect(await cureLetter(imke, HELD, 'drop', await versionOf(HELD))).toMatchObject({ status: 'taken back' });
  expect(await cureLetter(imke, HELD, 'hold', await versionOf(HELD))).toMatchObject({ status: 'held' });
  expect(await cureLetter(imke, HELD, 'send', await versionOf(HELD))).toMatchObject({ status: 'going' });
  await ground.database.sequelize.query(`update message set goes_at = now() where id = '${HELD}'`);
  const server = await mailServer();
  await new Sender(ground.database, server.address).sendAllDue();
  expect(await oneLetter(imke, HELD)).toMatchObject({
    status: 'sent',
    from_address: 'imke@larkfield.example',
  });
  expect(server.content.join('\n')).not.toContain('text/html');
  expect(server.content.join('\n')).toContain('Hello Joost,');
  server.close();
});

it('a letter that was sent again and is taken back is as it was before', async () => {
  expect(await cureLetter(imke, HELD, 'send', await versionOf(HELD))).toMatchObject({ status: 'going' });
  expect(await takeBackLetter(imke, HELD)).toEqual({ status: 'held', taken: true });
  expect(await oneLetter(imke, HELD)).toMatchObject({
    status: 'held',
    reason: 'Teo sees him next week: send after the visit?',
  });
});

it('of a letter that may have arrived a person says whether it did', async () => {
  const id = await answered('hang up');
  expect(await oneLetter(imke, id)).toMatchObject({ status: 'may have arrived' });
  expect(await cureLetter(imke, id, 'arrived', await versionOf(id))).toMatchObject({ status: 'sent' });
  expect(await cureLetter(imke, id, 'doubt', await versionOf(id))).toMatchObject({
    status: 'may have arrived',
  });
  expect(await cureLetter(imke, id, 'send', await versionOf(id))).toMatchObject({ status: 'going' });
});

it('of two who do something about one letter the later is told', async () => {
  const id = await answered('554 Not today');
  const version = await versionOf(id);
  const both = await Promise.all([
    cureLetter(imke, id, 'send', version),
    cureLetter(imke, id, 'settle', version),
  ]);
  expect(both.map(({ result }) => result).sort()).toEqual(['changed', 'done']);
  expect(await cureLetter(imke, id, 'arrived', await versionOf(id))).toMatchObject({ result: 'changed' });
  expect(await cureLetter({ ...imke, business_id: stableId('business', 'other') }, id, 'send', 1)).toEqual({
    result: 'none',
  });
});

it('is dealt with when the letter is written anew', async () => {
  const id = await answered('554 No such person');
  await sendLetter(imke, await written());
  expect(await oneLetter(imke, id)).toMatchObject({ settled_by: 'Imke Sandoval' });
});

it('Today does not offer a letter that is held or has failed, until somebody has dealt with that', async () => {
  const offered = async (key: string) => (await today(imke)).cards.some(({ start }) => start.key === key);
  expect(await offered('LPC-1034')).toBe(false);
  expect(await offered('LPC-1048')).toBe(true);
  const id = await answered('554 No such person');
  expect(await offered('LPC-1048')).toBe(false);
  await cureLetter(imke, id, 'settle', await versionOf(id));
  expect(await offered('LPC-1048')).toBe(true);
});
