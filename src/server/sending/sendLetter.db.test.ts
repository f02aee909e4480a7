import { describe, expect, it } from 'vitest';
import { oneLetter } from '../letters/oneLetter';
import { recordPayment } from '../records/recordPayment';
import { sendLetter } from './sendLetter';
import { written } from './test/written';
import { imke } from '../test/imke';
import { sendingDatabase } from './test/sendingDatabase';

const ground = sendingDatabase();

const letters = () =>
  ground.database.models.message.count({ where: { template_version: 1, status: 'going' } });

describe('a letter to be sent', () => {
  it('is written with its recipients, its values and its job in one transaction', async () => {
    const letter = await written();
    expect(await sendLetter(imke, letter)).toMatchObject({ result: 'going' });
    expect(await oneLetter(imke, letter.id)).toMatchObject({
      status: 'going',
      subject: 'Invoice LPC-1048 is still open',
      from_address: 'imke@larkfield.example',
      client_key: 'college',
      about: { kind: 'invoice', key: 'LPC-1048' },
      recipients: [{ role: 'to', name: 'Hale Brandreth', address: 'accounts@thornholtcollege.example' }],
      events: [{ kind: 'going' }],
    });
    expect((await oneLetter(imke, letter.id))!.notes.map(({ value }) => value)).toContain('£642.00');
    expect(await letters()).toBe(1);
  });

  it('is none when it comes a second time, also at the same moment', async () => {
    const letter = await written();
    const both = await Promise.all([sendLetter(imke, letter), sendLetter(imke, letter)]);
    expect(both.map(({ result }) => result).sort()).toEqual(['already', 'going']);
    expect(await sendLetter(imke, letter)).toMatchObject({ result: 'already', status: 'going' });
    expect(await letters()).toBe(1);
  });

  it('is refused with what changed when a fact is no longer so, and nothing is written', async () => {
    const letter = await written();
    expect(
      await recordPayment(imke, 'LPC-1048', 1, { amount: 10_000, paid_on: '2026-11-25', method: null }),
    ).toMatchObject({ result: 'recorded' });
    const answer = await sendLetter(imke, letter);
    expect(answer).toMatchObject({ result: 'changed' });
    expect('changed' in answer && answer.changed).toContainEqual({ label: 'balance', now: '£542.00' });
    expect(await oneLetter(imke, letter.id)).toBeUndefined();
    expect(await letters()).toBe(0);
  });

  it('is refused when another address would get it', async () => {
    const letter = await written();
    await ground.database.sequelize.query(
      "update contact set email = 'new@thornholtcollege.example' where key = 'hale'",
    );
    expect(await sendLetter(imke, letter)).toEqual({
      result: 'changed',
      changed: [{ label: 'goes to', now: 'new@thornholtcollege.example' }],
    });
  });

  it('is not held up by a fact it no longer says', async () => {
    const letter = await written();
    const [subject, ...body] = letter.document.content;
    const own = { type: 'paragraph' as const, content: [{ type: 'text' as const, text: 'Shall we talk?' }] };
    await ground.database.sequelize.query("update contact set given_name = 'Hal' where key = 'hale'");
    expect(await sendLetter(imke, letter)).toMatchObject({ result: 'changed' });
    const document = { type: 'doc' as const, content: [subject!, own, ...body.slice(1)] };
    expect(await sendLetter(imke, { ...letter, document })).toMatchObject({ result: 'going' });
  });

  it('is stopped while something is missing', async () => {
    const letter = await written();
    const hole = { type: 'hole' as const, attrs: { id: 'x', kind: 'field' as const, label: 'order number' } };
    const open = { type: 'paragraph' as const, content: [hole] };
    const document = { type: 'doc' as const, content: [...letter.document.content, open] };
    expect(await sendLetter(imke, { ...letter, document })).toEqual({
      result: 'stopped',
      stops: ['“order number” is still missing.'],
    });
  });

  it('says when its record or its template is gone', async () => {
    const letter = await written();
    expect(await sendLetter(imke, { ...letter, start: { kind: 'invoice', key: 'LPC-9' } })).toEqual({
      result: 'gone',
      what: 'record',
    });
    expect(await sendLetter(imke, { ...letter, templateVersion: 9 })).toEqual({
      result: 'gone',
      what: 'template',
    });
  });
});
