import { describe, expect, it } from 'vitest';
import type { BroughtBooking, BroughtClient, BroughtRow, OwnWays } from '../bringing/brought';
import { openFile } from '../bringing/openFile';
import type { ClientData, RecordsFile } from '../records/recordsFile';
import { calendarOf } from './calendarOf';
import { cardsOf } from './cardOf';
import { csvOf } from './csv';
import { SHEETS } from './sheets';

const OWN: OwnWays = {
  locale: 'en-GB',
  currency: 'GBP',
  zone: 'Europe/London',
  hourCycle: 24,
  now: Date.parse('2026-11-25T09:00:00Z'),
  fields: [{ record: 'client', key: 'floors', label: 'Floors', type: 'number' }],
  services: [],
};
const read = (text: string) => openFile(new TextEncoder().encode(text), OWN).read();

const ADA: ClientData = {
  key: 'ada',
  kind: 'person',
  name: 'Ada Reyes',
  given_name: 'Ada',
  family_name: 'Reyes',
  honorific: 'Dr',
  email: 'ada@reyes.example',
  phone: '01632 960100',
  mobile: '07700 900100',
  address: { street: ['Flat 2', '1 Quay'], town: 'Saltby', postcode: 'LK2 4AA' },
  language: 'de',
  tags: ['regular', 'quay, side'],
  notes: 'A dog;\ntwo "cats", and é.',
  custom: { floors: 2 },
};

describe('cells that a spreadsheet would run', () => {
  it.each([
    ['=1+1', "'=1+1"],
    ['+44 1632 960100', "'+44 1632 960100"],
    ['@SUM(A1)', "'@SUM(A1)"],
    ['-2+3', "'-2+3"],
    [' =cmd', "' =cmd"],
    ['\tx', "'\tx"],
    ['-12.50', '-12.50'],
    ['a = b', 'a = b'],
  ])('%j is %j', (cell, written) => {
    const line = csvOf({ head: ['x'], rows: [[cell]] })
      .slice(1)
      .split('\r\n')
      .slice(1, -1)
      .join('\r\n');
    expect(line.replace(/^"|"$/g, '')).toBe(written);
  });
});

describe('what is taken out is understood when it is brought in again', () => {
  it('clients as a table', () => {
    const ground = { currency: 'GBP', fields: OWN.fields };
    const { head, rows } = SHEETS.clients!;
    const records = { business: {}, clients: [ADA] } as RecordsFile;
    const [row] = read(
      csvOf({ head: head(ground), rows: rows(records, ground) }),
    ) as BroughtRow<BroughtClient>[];
    expect(row!.doubts).toEqual([]);
    expect(row!.facts).toMatchObject({
      name: 'Ada Reyes',
      given_name: 'Ada',
      honorific: 'Dr',
      email: 'ada@reyes.example',
      mobile: '07700 900100',
      address: ADA.address,
      notes: ADA.notes,
      custom: { floors: 2 },
    });
  });

  it('a number that had to be made harmless', () => {
    const text = csvOf({ head: ['Name', 'Phone'], rows: [['Ada', '+44 1632 960100']] });
    expect(read(text)[0]?.facts).toMatchObject({ phone: '+44 1632 960100' });
  });

  it('clients and their people as cards', () => {
    const cards = cardsOf({
      ...ADA,
      contacts: [
        { key: 'tom', given_name: 'Tom', family_name: 'Quist', role: 'caretaker', email: 'tom@post.example' },
      ],
    });
    const rows = read(cards) as BroughtRow<BroughtClient>[];
    expect(rows.flatMap(({ doubts }) => doubts)).toEqual([]);
    expect(rows.map(({ facts }) => facts)).toMatchObject([
      {
        name: 'Ada Reyes',
        family_name: 'Reyes',
        phone: '01632 960100',
        mobile: '07700 900100',
        address: ADA.address,
        language: 'de',
        tags: ['regular', 'quay, side'],
        notes: ADA.notes,
      },
      { name: 'Tom Quist', email: 'tom@post.example' },
    ]);
  });

  it('an organisation as a card', () => {
    const [row] = read(
      cardsOf({ key: 's', kind: 'organisation', name: 'Saltby School' }),
    ) as BroughtRow<BroughtClient>[];
    expect(row!.facts).toMatchObject({ name: 'Saltby School', kind: 'organisation' });
  });

  it('invoices and payments as tables', () => {
    const ground = { currency: 'GBP', fields: [] };
    const records = {
      business: {},
      clients: [ADA],
      invoices: [
        {
          key: 'i',
          number: 'LPC-1',
          client: 'ada',
          status: 'sent',
          issued_on: '2026-10-01',
          lines: [{ description: 'Tuning', unit_price: 9_600, tax_rate: '20' }],
          payments: [{ paid_on: '2026-10-05', amount: 5_000 }],
        },
      ],
    } as RecordsFile;
    const sheet = (name: string) =>
      csvOf({ head: SHEETS[name]!.head(ground), rows: SHEETS[name]!.rows(records, ground) });
    expect(read(sheet('invoices'))[0]?.facts ?? read(sheet('invoices'))[0]).toMatchObject({
      number: 'LPC-1',
      lines: [{ unit_price: 11_520 }],
    });
    expect(read(sheet('payments'))[0]?.facts).toEqual({
      number: 'LPC-1',
      paid_on: '2026-10-05',
      amount: 5_000,
    });
  });

  it('visits as a calendar, each under its own mark', () => {
    const text = calendarOf(
      'Larkfield Piano Care',
      [
        {
          uid: 'b-1@fair-quill',
          version: 3,
          title: 'tuning visit, Ada Reyes',
          status: 'tentative',
          starts_at: '2026-12-01T10:00:00+00:00',
          ends_at: '2026-12-01T11:30:00+00:00',
          location: ADA.address,
          notes: 'Ring; twice,\nplease.',
        },
      ],
      OWN.now,
    );
    expect(text).toMatch(/^SEQUENCE:2\r?$/m);
    expect(text.split('\r\n').every((line) => new TextEncoder().encode(line).length <= 75)).toBe(true);
    expect((read(text) as BroughtRow<BroughtBooking>[])[0]).toMatchObject({
      doubts: [],
      facts: {
        uid: 'b-1@fair-quill',
        service: 'tuning visit, Ada Reyes',
        status: 'tentative',
        starts_at: '2026-12-01T10:00:00+00:00',
        ends_at: '2026-12-01T11:30:00+00:00',
        location: { street: ['Flat 2', '1 Quay', 'Saltby', 'LK2 4AA'] },
        notes: 'Ring; twice,\nplease.',
      },
    });
  });
});

it('every sheet has as many cells in a row as in its head', () => {
  const ground = { currency: 'GBP', fields: OWN.fields };
  const records = {
    business: {},
    clients: [{ ...ADA, contacts: [{ key: 'c' }], items: [{ key: 'i' }] }],
    partners: [{ key: 'p' }],
    enquiries: [{ key: 'e' }],
    projects: [{ key: 'p' }],
    bookings: [{ key: 'b' }],
    invoices: [{ key: 'i', lines: [{}], payments: [{}] }],
  } as RecordsFile;
  for (const [name, { head, rows }] of Object.entries(SHEETS))
    expect(
      rows(records, ground).map((row) => row.length),
      name,
    ).toEqual([head(ground).length]);
});
