import ICAL from 'ical.js';
import { beforeEach, describe, expect, it } from 'vitest';
import type { AddedFile } from '../../core/contract/along';
import { sweepRemoved } from '../../data/repositories/files/sweepRemoved';
import { now } from '../clock';
import { bringOwnFile, listOwnFiles } from '../files/ownFiles';
import { bringRecordFile, changeRecordFile } from '../files/recordFiles';
import { changeBooking } from '../records/changeBooking';
import { recordFacts } from '../records/keepRecord';
import { sendLetter } from '../sending/sendLetter';
import { sendingDatabase } from '../sending/test/sendingDatabase';
import { written } from '../sending/test/written';
import { imke } from '../test/imke';
import { alongChoices, bringLetterFile, letterFile } from './alongChoices';
import { attachment } from './attachment';
import { oneLetter } from './oneLetter';

const ground = sendingDatabase();
const VISIT = { kind: 'booking', key: 'b-hartigan' } as const;
const INVOICE = { kind: 'invoice', key: 'LPC-1048' } as const;
const PDF = Buffer.from('%PDF-1.7\n%âãÏÓ\n');

/** What a letter from a record took along, by its names; or why it did not go. */
async function sent(
  start: typeof VISIT | typeof INVOICE,
  template: string,
  added: AddedFile[] = [],
): Promise<{ id: string; names: string[]; stops?: string[] }> {
  const letter = await written({ start, choices: { template, answers: {}, added } });
  const answer = await sendLetter(imke, letter);
  if (answer.result !== 'going')
    return { id: letter.id, names: [], stops: 'stops' in answer ? answer.stops : [JSON.stringify(answer)] };
  return {
    id: letter.id,
    names: (await oneLetter(imke, letter.id))!.attachments.map(({ name }) => name),
  };
}

describe('what is made of a letter’s own records', () => {
  it('the invoice, as it is when the letter goes', async () => {
    await ground.database.sequelize.query(
      "update invoice set due_on = issued_on + 365 where key = 'LPC-1048'; delete from payment",
    );
    const { id, names } = await sent(INVOICE, 'invoice-enclosed');
    expect(names).toEqual(['LPC-1048.pdf']);
    const file = (await attachment(imke, id, '1'))!;
    expect(file.content.subarray(0, 5).toString()).toBe('%PDF-');
  });

  it('the visit: moved, it is the same in its client’s calendar, and later', async () => {
    const entry = async () => {
      const { id, names } = await sent(VISIT, 'visit-confirmed');
      expect(names).toEqual(['tuning visit.ics']);
      const words = (await attachment(imke, id, '1'))!.content.toString();
      return new ICAL.Event(new ICAL.Component(ICAL.parse(words) as string).getFirstSubcomponent('vevent')!);
    };
    const first = await entry();
    const { version } = (await recordFacts(imke, 'booking', VISIT.key))!;
    const starts = first.startDate.toJSDate();
    const moved = new Date(starts.getTime() + 3_600_000).toISOString();
    const ends_at = new Date(starts.getTime() + 9_000_000).toISOString();
    expect(await changeBooking(imke, VISIT.key, { version, starts_at: moved, ends_at })).toBe(true);
    const second = await entry();
    expect(second.uid).toBe(first.uid);
    expect(second.sequence).toBeGreaterThan(first.sequence);
    expect(second.startDate.toJSDate().toISOString()).toBe(moved);
  });
});

describe('what its writer adds', () => {
  const bring = async (name: string, content: Buffer): Promise<AddedFile> => {
    const answer = await bringLetterFile(imke, name, content);
    return (answer as { file: AddedFile }).file;
  };
  const bringTo = async (client: string, name: string): Promise<AddedFile> => {
    const answer = await bringRecordFile(imke, { kind: 'client', key: client }, name, PDF);
    const { file } = answer as { file: { id: string; name: string; size: number } };
    return { from: 'record', id: file.id, name: file.name, size: file.size };
  };
  beforeEach(async () => {
    await bringOwnFile(imke, 'Terms.pdf', PDF);
  });

  it('goes along: from the device, the client’s, the business’s own; two of one name are two', async () => {
    const fresh = await bring('Pedals.txt', Buffer.from('pedals'));
    const theirs = await bringTo('college', 'Plan.pdf');
    const [own] = await listOwnFiles(imke);
    const again = await bring('Plan.pdf', Buffer.from('%PDF-1.4\n%âãÏÓ\n another'));
    const added = [fresh, theirs, { from: 'own' as const, ...own!, size: own!.size }, again].map(
      ({ from, id, name, size }) => ({ from, id, name, size }),
    );
    const { id, names } = await sent(INVOICE, 'first-reminder', added);
    expect(names).toEqual(['Pedals.txt', 'Plan.pdf', 'Terms.pdf', 'Plan 2.pdf']);
    expect((await attachment(imke, id, '1'))!.content.toString()).toBe('pedals');
  });

  it('is offered by whose it is', async () => {
    await bringTo('college', 'Plan.pdf');
    const { groups } = (await alongChoices(imke, INVOICE))!;
    expect(groups.map(({ from, files }) => [from, files.map(({ name }) => name)])).toEqual([
      ['record', ['Plan.pdf']],
      ['own', ['Terms.pdf']],
    ]);
    expect(groups[0]!.title).toMatch(/College/);
    expect(await alongChoices(imke, { kind: 'client', key: 'nobody' })).toBeUndefined();
  });

  it('never goes to another client than whose it is', async () => {
    const hers = await bringTo('hartigan', 'Private.pdf');
    expect(await sent(INVOICE, 'first-reminder', [hers])).toMatchObject({
      stops: ['“Private.pdf” cannot go along: it is no longer there. Leave it out.'],
    });
  });

  it('stops the letter when it was removed meanwhile', async () => {
    const theirs = await bringTo('college', 'Plan.pdf');
    await changeRecordFile(imke, theirs.id, { removed: true });
    expect((await sent(INVOICE, 'first-reminder', [theirs])).stops).toEqual([
      '“Plan.pdf” cannot go along: it is no longer there. Leave it out.',
    ]);
  });

  it('the same file brought twice is one; it is swept away when it was never sent, and stays when it was', async () => {
    const kept = await bring('Pedals.txt', Buffer.from('pedals'));
    expect(await bring('Pedals.txt', Buffer.from('pedals'))).toEqual(kept);
    const lost = await bring('Lost.txt', Buffer.from('lost'));
    const { id } = await sent(INVOICE, 'first-reminder', [kept]);
    const [never, later] = [new Date(0), new Date(now() + 86_400_000)];
    await ground.database.acrossBusinesses(() =>
      sweepRemoved(ground.database, { files: never, records: never, letters: later }),
    );
    expect(await letterFile(imke, lost.id)).toBeUndefined();
    expect((await attachment(imke, id, '1'))!.content.toString()).toBe('pedals');
    expect((await sent(INVOICE, 'first-reminder', [lost])).stops).toHaveLength(1);
    const left = await ground.database.models.file.count({ where: { media_type: 'text/plain' } });
    expect(left).toBeLessThanOrEqual(1);
  });

  it('is refused when it is not what it says', async () => {
    expect(await bringLetterFile(imke, 'setup.exe', PDF)).toMatchObject({ result: 'wrong' });
  });
});
