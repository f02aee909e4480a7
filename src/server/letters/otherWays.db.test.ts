import { simpleParser } from 'mailparser';
import { describe, expect, it } from 'vitest';
import { bringOwnFile, listOwnFiles } from '../files/ownFiles';
import { noteElsewhere, sendLetter } from '../sending/sendLetter';
import { changeSettings, settingsOf } from '../settings';
import { sendingDatabase } from '../sending/test/sendingDatabase';
import { written } from '../sending/test/written';
import { imke } from '../test/imke';
import { letterAsFile } from './letterAsFile';
import { oneLetter } from './oneLetter';

const ground = sendingDatabase();

describe('a letter as a message file', () => {
  it('is whole: its people, words, pictures and what goes along; nothing of it is kept', async () => {
    await bringOwnFile(imke, 'Terms.txt', Buffer.from('thirty days'));
    const { id, name, size } = (await listOwnFiles(imke))[0]!;
    const choices = {
      template: 'first-reminder',
      answers: {},
      added: [{ from: 'own' as const, id, name, size }],
    };
    const letter = await written({ choices });
    const file = await letterAsFile(imke, letter);
    if ('result' in file) throw new Error(JSON.stringify(file));
    expect(file.name).toBe('Invoice LPC-1048 is still open.eml');
    const mail = await simpleParser(file.content);
    expect(mail.subject).toBe('Invoice LPC-1048 is still open');
    expect((mail.to as { text: string }).text).toContain('accounts@thornholtcollege.example');
    expect(mail.text).toContain('£642.00');
    expect(mail.attachments.map((one) => [one.filename, one.content.toString()])).toContainEqual([
      'Terms.txt',
      'thirty days',
    ]);
    expect(await oneLetter(imke, letter.id)).toBeUndefined();
  });

  it('is not made while something keeps the letter from going', async () => {
    const letter = await written();
    await ground.database.sequelize.query(
      "update client set no_letters_since = '2026-11-01' where key = 'college'",
    );
    expect(await letterAsFile(imke, letter)).toMatchObject({ result: 'stopped' });
  });
});

it('a letter can be taken back as long as the business has settled', async () => {
  await changeSettings(imke, { takeBackSeconds: 30, sameLetterDays: 30 });
  expect(await settingsOf(imke)).toMatchObject({
    takeBackSeconds: 30,
    sameLetterDays: 30,
    reminderSpacing: 7,
  });
  expect(await sendLetter(imke, await written())).toEqual({ result: 'going', goesIn: 30_000 });
});

describe('a letter that went another way', () => {
  it('is noted with all that it said, is not sent from here, and counts as written', async () => {
    const letter = await written();
    expect(await noteElsewhere(imke, letter)).toEqual({ result: 'noted' });
    expect(await oneLetter(imke, letter.id)).toMatchObject({
      status: 'sent',
      client_key: 'college',
      about: { kind: 'invoice', key: 'LPC-1048' },
      recipients: [{ role: 'to', address: 'accounts@thornholtcollege.example' }],
      events: [{ kind: 'sent', detail: 'It went another way, and is only noted here.' }],
    });
    expect(await ground.database.models.message.count({ where: { status: 'going' } })).toBe(0);
    expect(await sendLetter(imke, letter)).toMatchObject({ result: 'already', status: 'sent' });
    const { choices, ...again } = await written();
    expect(await sendLetter(imke, { ...again, choices: { ...choices, stets: [] } })).toMatchObject({
      result: 'stopped',
    });
  });
});
