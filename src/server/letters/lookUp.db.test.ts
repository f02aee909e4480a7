import { describe, expect, it } from 'vitest';
import { putWords } from '../../core/fairCopy/change/putWords';
import { linesOf } from '../../core/proof/reading/lines';
import { sendLetter } from '../sending/sendLetter';
import { sendingDatabase } from '../sending/test/sendingDatabase';
import { written } from '../sending/test/written';
import { imke } from '../test/imke';
import { lookUp } from './lookUp';

const ground = sendingDatabase();
const FROM = { kind: 'client', key: 'college' } as const;
const NOTHING = { names: [], emails: [], phones: [], streets: [], invoices: [], days: [] };

describe('whose the words of a letter are', () => {
  it.each([
    [{ names: ['Oda Hartigan', 'Oda Nobody'] }, 'Oda Hartigan', 'the name of'],
    [{ names: ['oda hartigan'] }, 'oda hartigan', 'the name of'],
    [{ emails: ['Oda@Hartigan.example'] }, 'Oda@Hartigan.example', 'an address of'],
    [{ invoices: ['LPC-1059', 'LPC-9999'] }, 'LPC-1059', 'an invoice of'],
    [{ streets: ['4 Chandlers Row'] }, '4 Chandlers Row', 'the address of'],
  ])('%o', async (asked, words, what) => {
    const { others } = (await lookUp(imke, FROM, { ...NOTHING, ...asked }))!;
    expect(others).toEqual([{ words, what, name: 'Oda Hartigan' }]);
  });

  it('a number, however it is written', async () => {
    await ground.database.sequelize.query(
      "update client set phone = '+44 1632 960777' where key = 'hartigan'",
    );
    const { others } = (await lookUp(imke, FROM, {
      ...NOTHING,
      phones: ['01632 960-777', '01632 960778'],
    }))!;
    expect(others).toEqual([{ words: '01632 960-777', what: 'a number of', name: 'Oda Hartigan' }]);
  });

  it('a contact’s', async () => {
    const asked = { ...NOTHING, names: ['Hale Brandreth'] };
    expect((await lookUp(imke, { kind: 'client', key: 'hartigan' }, asked))!.others).toMatchObject([
      { words: 'Hale Brandreth', what: 'the name of', name: 'Thornholt College' },
    ]);
    // Their own client's are not another's.
    expect((await lookUp(imke, FROM, asked))!.others).toEqual([]);
  });

  it('what two clients share is not another’s', async () => {
    await ground.database.sequelize.query(
      "update client set email = 'office@shared.example' where key in ('hartigan', 'college')",
    );
    expect((await lookUp(imke, FROM, { ...NOTHING, emails: ['office@shared.example'] }))!.others).toEqual([]);
  });

  it('of a record that is not there', async () => {
    expect(await lookUp(imke, { kind: 'client', key: 'nobody' }, NOTHING)).toBeUndefined();
  });
});

describe('a letter with another client’s name in it', () => {
  it('does not go until its writer says that it is meant', async () => {
    const letter = await written();
    const line = linesOf(letter.document)[2]!;
    const at = { line: line.index, from: line.text.length, to: line.text.length };
    const document = putWords(letter.document, at, ' As with Oda Hartigan.');
    expect(await sendLetter(imke, { ...letter, document })).toEqual({
      result: 'stopped',
      stops: ['“Oda Hartigan” is the name of Oda Hartigan, another client.'],
    });
    const choices = { ...letter.choices, stets: ['of another Oda Hartigan'] };
    expect(await sendLetter(imke, { ...letter, choices, document })).toMatchObject({ result: 'going' });
  });

  it('nor the same one to the same person a second time', async () => {
    expect(await sendLetter(imke, await written())).toMatchObject({ result: 'going' });
    const { choices, ...letter } = await written();
    const again = await sendLetter(imke, { ...letter, choices: { ...choices, stets: [] } });
    expect(again).toMatchObject({ result: 'stopped' });
    expect('stops' in again && again.stops.join()).toContain(
      'The same letter went to Hale Brandreth today at 09:00',
    );
  });
});
