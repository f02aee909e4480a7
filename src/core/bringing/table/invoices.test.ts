import { describe, expect, it } from 'vitest';
import type { BroughtInvoice, BroughtPayment, BroughtRow, OwnWays } from '../brought';
import { openFile } from '../openFile';

const OWN: OwnWays = {
  locale: 'en-GB',
  currency: 'GBP',
  zone: 'Europe/London',
  hourCycle: 24,
  now: Date.parse('2026-11-25T09:00:00Z'),
  fields: [],
  services: [],
};
const open = (text: string, own: Partial<OwnWays> = {}) =>
  openFile(new TextEncoder().encode(text), { ...OWN, ...own });
const doubts = (rows: readonly BroughtRow[]) =>
  rows.flatMap((row) =>
    row.doubts.map(({ column, words, message }) => `${row.row} ${column} “${words}”: ${message}`),
  );

describe('a table of invoices', () => {
  const read = (text: string, own?: Partial<OwnWays>) =>
    open(text, own).read() as BroughtRow<BroughtInvoice>[];

  it('is told by its number and what it comes to, each with what was paid', () => {
    const file = open(
      'Invoice Number,Customer,Invoice Date,Due Date,Total,Amount Paid,Paid on\nOLD-1,Ada Reyes,01/10/2026,15/10/2026,£96.00,£96.00,12/10/2026\nOLD-2,Tom Quist,02/10/2026,,120,,\n',
    );
    expect(file.kind).toBe('invoice');
    expect(file.read()).toEqual([
      {
        row: 2,
        facts: {
          number: 'OLD-1',
          whose: { emails: [], names: ['Ada Reyes'] },
          status: 'sent',
          issued_on: '2026-10-01',
          due_on: '2026-10-15',
          lines: [{ description: 'Invoice OLD-1', unit_price: 9600 }],
          payments: [{ paid_on: '2026-10-12', amount: 9600 }],
        },
        doubts: [],
      },
      {
        row: 3,
        facts: {
          number: 'OLD-2',
          whose: { emails: [], names: ['Tom Quist'] },
          status: 'sent',
          issued_on: '2026-10-02',
          lines: [{ description: 'Invoice OLD-2', unit_price: 12000 }],
          payments: [],
        },
        doubts: [],
      },
    ]);
  });

  it('lines of one number are lines of one invoice, and come to what it says', () => {
    const text = (total: string) =>
      `Rechnungsnummer;Kunde;Rechnungsdatum;Beschreibung;Menge;Einzelpreis;MwSt;Betrag\nR-1;Änne Groß;1.10.2026;Stimmen;2;50,00;20%;${total}\nR-1;;;Anfahrt;;10,00;;\n`;
    const own = { locale: 'de-DE', currency: 'EUR' };
    expect(read(text('130,00'), own)).toMatchObject([
      {
        row: 2,
        doubts: [],
        facts: {
          lines: [
            { description: 'Stimmen', quantity: '2', unit_price: 5000, tax_rate: '20' },
            { description: 'Anfahrt', unit_price: 1000 },
          ],
        },
      },
    ]);
    const wrong = read(text('1.300,00'), own);
    expect(wrong[0]!.facts).toBeUndefined();
    expect(doubts(wrong)).toEqual([
      '2 Betrag “1.300,00”: Its lines come to 130.00, and it says 1300.00. It is left out.',
    ]);
  });

  it('what has no number, no day or no sum is left out and told', () => {
    const rows = read(
      'Invoice,Client,Date,Total\n,Ada,01/10/2026,96\nOLD-3,Ada,31/02/2026,96\nOLD-4,Ada,,96\nOLD-5,Ada,01/10/2026,ninety\n',
    );
    expect(rows.map((row) => row.facts)).toEqual([undefined, undefined, undefined, undefined]);
    expect(doubts(rows)).toEqual([
      '2  “”: There is no invoice number in it.',
      '3 Date “31/02/2026”: There is no such day. It is left out.',
      '4  “”: It does not say when it was issued.',
      '5 Total “ninety”: This is no sum in GBP. It is left out.',
      '5 Total “ninety”: It does not say what it comes to.',
    ]);
  });

  it('one that says only that it is paid asks when', () => {
    const file = open(
      'Invoice,Client,Date,Total,Status\nOLD-6,Ada,01/10/2026,96,Paid\nOLD-7,Ada,01/10/2026,96,Void\n',
    );
    const rows = file.read() as BroughtRow<BroughtInvoice>[];
    expect(rows.map((row) => [row.facts?.status, row.facts?.payments])).toEqual([
      ['sent', []],
      ['void', []],
    ]);
    expect(doubts(rows)).toEqual([
      '2  “”: It says that something was paid, and not when. It comes in as not paid.',
    ]);
    const mended = file.readRow(2, undefined, { paid_on: '12 October 2026' }) as BroughtRow<BroughtInvoice>;
    expect([mended.facts?.payments, mended.doubts]).toEqual([[{ paid_on: '2026-10-12', amount: 9600 }], []]);
  });

  it('due before it was issued', () => {
    const rows = read('Invoice,Client,Date,Due,Total\nOLD-8,Ada,01/10/2026,01/09/2026,96\n');
    expect(rows[0]!.facts).not.toHaveProperty('due_on');
    expect(doubts(rows)).toEqual([
      '2 Due “01/09/2026”: It is due before it was issued. That day is left out.',
    ]);
  });
});

describe('a table of payments', () => {
  it('is told by having a number, a day, a sum and no client', () => {
    const file = open(
      'Invoice;Date;Amount;Method\nLPC-1048;12/10/2026;£96.00;card\n;12/10/2026;1;\nLPC-1;;;\n',
    );
    expect(file.kind).toBe('payment');
    const rows = file.read() as BroughtRow<BroughtPayment>[];
    expect(rows.map((row) => row.facts)).toEqual([
      { number: 'LPC-1048', paid_on: '2026-10-12', amount: 9600, method: 'card' },
      undefined,
      undefined,
    ]);
    expect(doubts(rows)).toEqual([
      '3  “”: It does not say for which invoice it is.',
      '4  “”: It does not say when it was paid.',
      '4  “”: It does not say how much was paid.',
    ]);
  });
});

it('a table is read as another kind where somebody says so, with other columns', () => {
  const file = open('Ref,Who,When,How much\nOLD-9,Ada Reyes,01/10/2026,96\n');
  expect(file.kind).toBe('client');
  expect(
    file.read({ kind: 'invoice', columns: ['number', 'name', 'issued_on', 'total'] })[0]?.facts,
  ).toMatchObject({ number: 'OLD-9', issued_on: '2026-10-01' });
  expect(file.read({ kind: 'client', columns: [undefined, 'name'] })[0]?.facts).toMatchObject({
    name: 'Ada Reyes',
  });
});
