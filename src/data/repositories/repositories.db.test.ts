import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { RecordBook } from '../../core/records/recordBook';
import { stableId } from '../stableId';
import { NOW, temporaryDatabase, withDemonstration, type TemporaryDatabase } from '../test/temporaryDatabase';
import { lettersOf } from './letters';
import { pastLetters } from './pastLetters';
import { listPage } from './lists/listPages';
import { RECORD_LISTS, type ListRows } from './lists/recordLists';
import { recordsOfBusiness } from './recordsOfBusiness';
import { scopeFrom, startingRecord } from './startingRecords';

let database: TemporaryDatabase;
const BUSINESS = stableId('business', 'larkfield');
const IMKE = stableId('member', 'imke');

beforeAll(async () => {
  database = await temporaryDatabase();
  await withDemonstration(database);
});
afterAll(() => database.drop());

describe('sums in lists', () => {
  it('are the core’s for every invoice', async () => {
    const book = new RecordBook((await recordsOfBusiness(database, BUSINESS))!, NOW);
    const list = async <Kind extends 'client' | 'invoice'>(kind: Kind) =>
      (await listPage<ListRows[Kind]>(database, BUSINESS, RECORD_LISTS[kind], { most: 200 })).rows;
    const rows = await list('invoice');
    expect(rows.length).toBe(60);
    for (const { key, total, paid } of rows) {
      const sums = book.sumsOf(book.invoices.get(key)!);
      expect([key, total, paid]).toEqual([key, sums.amount, sums.paid]);
    }
    for (const { key, unpaid } of await list('client')) {
      expect([key, unpaid]).toEqual([key, book.outstanding(book.ofClient({ key }).invoices)]);
    }
  });

  it('follow what is written, changed and removed, by one statement or many', async () => {
    const left = async () => {
      const rows = await database.sequelize.query<{ key: string }>(
        `select key from invoice
         where total <> coalesce((select sum(line_amount) from invoice_line line
             where line.business_id = invoice.business_id and line.invoice_id = invoice.id), 0)
           or paid <> coalesce((select sum(amount) from payment
             where payment.business_id = invoice.business_id and payment.invoice_id = invoice.id), 0)`,
        { type: QueryTypes.SELECT },
      );
      return rows.map(({ key }) => key);
    };
    const all = async () => {
      for (const sql of [
        'update invoice_line set quantity = coalesce(quantity, 1) * 1.25, tax_rate = 17.5',
        'update payment set amount = amount - 1 where position = 0',
        `insert into invoice_line (business_id, invoice_id, position, unit_price, discount)
         select business_id, id, 90 + n, 333 * n, 12.5 from invoice, generate_series(1, 3) n`,
        `insert into payment (business_id, invoice_id, position, paid_on, amount)
         select business_id, id, 90, '2026-11-25', 100 from invoice`,
        // One that moves to another invoice.
        `update invoice_line set invoice_id = (select id from invoice where key = 'LPC-1048'), position = 80
         where position = 92 and invoice_id = (select id from invoice where key = 'LPC-1059')`,
        'delete from invoice_line where position > 0',
        'delete from payment where position = 0',
      ]) {
        await database.sequelize.query(sql);
        expect(await left(), sql).toEqual([]);
      }
      throw new Error('and undone');
    };
    await expect(database.inTransaction(all)).rejects.toThrow('and undone');
  });

  it.each([
    ['0.5', 0],
    ['1.5', 2],
    ['2.5', 2],
    ['2.51', 3],
    ['-0.5', 0],
    ['-1.5', -2],
    ['-2.4', -2],
  ])('round %s half to even', async (value, rounded) => {
    const [row] = await database.sequelize.query<{ rounded: number }>(
      `select round_half_even(${value}) as rounded`,
      { type: QueryTypes.SELECT },
    );
    expect(row!.rounded + 0).toBe(rounded);
  });
});

describe('one client’s records', () => {
  it('are all of theirs and nobody else’s', async () => {
    const start = { kind: 'invoice', key: 'LPC-1048' } as const;
    const record = (await startingRecord(database, BUSINESS, start))!;
    const all = (await recordsOfBusiness(database, BUSINESS))!;
    const own = (await recordsOfBusiness(database, BUSINESS, scopeFrom(record)))!;
    const ofCollege = <T extends { client?: string }>(rows: readonly T[] | undefined) =>
      rows!.filter(({ client }) => client === 'college');
    expect(own.clients).toEqual(all.clients!.filter(({ key }) => key === 'college'));
    expect(own.invoices).toEqual(ofCollege(all.invoices));
    expect(own.bookings).toEqual(ofCollege(all.bookings));
    expect(own.projects).toEqual(ofCollege(all.projects));
    expect(own.members).toEqual(all.members);
  });

  it('of somebody who only asked are the enquiry', async () => {
    const start = { kind: 'enquiry', key: 'e1' } as const;
    const record = (await startingRecord(database, BUSINESS, start))!;
    const own = (await recordsOfBusiness(database, BUSINESS, scopeFrom(record)))!;
    expect([own.clients, own.enquiries!.map(({ key }) => key), own.invoices]).toEqual([[], ['e1'], []]);
  });

  it('are none where there is no such record, or in another business', async () => {
    expect(
      await startingRecord(database, BUSINESS, { kind: 'invoice', key: "' or true --" }),
    ).toBeUndefined();
    const other = stableId('business', 'other');
    expect(await startingRecord(database, other, { kind: 'invoice', key: 'LPC-1048' })).toBeUndefined();
  });
});

it('the letters written before, with what they were about', async () => {
  const college = stableId('client', 'college');
  const letters = await pastLetters(database, BUSINESS, IMKE, { clients: [college] });
  expect(letters).toContainEqual({
    template: 'first-reminder',
    about: { kind: 'invoice', key: 'LPC-1048' },
    at: '2026-11-15T09:40:00.000Z',
    member: 'imke',
    to: ['accounts@thornholtcollege.example'],
  });
  expect(letters.every(({ at }, i) => i === 0 || letters[i - 1]!.at <= at)).toBe(true);
});

it('letters come newest first, with whom they went to and what became of them', async () => {
  const letters = await lettersOf(database, BUSINESS, {}, 200);
  expect(letters).toHaveLength(44);
  expect(letters.every(({ at }, i) => i === 0 || letters[i - 1]!.at >= at)).toBe(true);
  const bounced = letters.find(({ status }) => status === 'bounced')!;
  expect(bounced).toMatchObject({ client_key: 'brandvold', reason: '550 5.1.1 No such mailbox here' });
  const about = { kind: 'invoice' as const, id: stableId('invoice', 'LPC-1048') };
  const ofInvoice = await lettersOf(database, BUSINESS, { about }, 200);
  expect(ofInvoice.length).toBeGreaterThan(1);
  expect(ofInvoice.every((letter) => letter.about?.key === 'LPC-1048')).toBe(true);
  expect(await lettersOf(database, stableId('business', 'other'), {}, 200)).toEqual([]);
});
