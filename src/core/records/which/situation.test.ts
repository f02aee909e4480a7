import { describe, expect, it } from 'vitest';
import { readMoment } from '../../dates/zone';
import { RecordBook } from '../recordBook';
import type { BookingData, InvoiceData, RecordsFile } from '../recordsFile';
import { situationFrom, type StartingPoint, type Wishes } from './situation';

const sender = { key: 'imke' };
const booking = (key: string, day: string, more: Partial<BookingData> = {}): BookingData => ({
  key,
  client: 'c1',
  status: 'confirmed',
  starts_at: `${day}T10:00:00Z`,
  ...more,
});
const invoice = (key: string, issued_on: string, more: Partial<InvoiceData> = {}): InvoiceData => ({
  key,
  number: key,
  client: 'c1',
  status: 'sent',
  issued_on,
  due_on: '2026-12-31',
  lines: [{ unit_price: 100 }],
  ...more,
});
const paid = { payments: [{ amount: 100 }] };

function situation(
  records: Partial<RecordsFile>,
  kind: StartingPoint['kind'],
  key: string,
  wishes: Partial<Wishes> = {},
) {
  const file: RecordsFile = { business: {}, clients: [{ key: 'c1', name: 'Oda Hartigan' }], ...records };
  return situationFrom(
    new RecordBook(file, readMoment('2026-03-02T09:00:00Z')!),
    { kind, key },
    { sender, ...wishes },
  );
}

describe('from an invoice', () => {
  it('the booking is the project’s last one not after the issue date', () => {
    const found = situation(
      {
        projects: [{ key: 'p1', client: 'c1' }],
        bookings: [
          booking('before', '2026-01-05', { project: 'p1' }),
          booking('same-day', '2026-01-10', { project: 'p1' }),
          booking('later', '2026-01-20', { project: 'p1' }),
          booking('elsewhere', '2026-01-09'),
        ],
        invoices: [invoice('K-1', '2026-01-10', { project: 'p1' })],
      },
      'invoice',
      'K-1',
    );
    expect(found?.booking).toMatchObject({
      record: { key: 'same-day' },
      reason: 'the last visit for the project before the invoice',
    });
    expect(found?.booking?.alternatives.map(({ key }) => key)).toEqual(['before', 'later']);
    expect(found?.invoice?.reason).toBe('the invoice you started from');
  });

  it('else its next, else the client’s by the same rule', () => {
    const invoices = [invoice('K-1', '2026-01-10', { project: 'p1' })];
    const projects = [{ key: 'p1', client: 'c1' }];
    const next = [booking('next', '2026-02-01', { project: 'p1' }), booking('own', '2026-01-01')];
    expect(situation({ projects, invoices, bookings: next }, 'invoice', 'K-1')?.booking?.record.key).toBe(
      'next',
    );
    const own = [booking('own', '2026-01-01')];
    expect(situation({ projects, invoices, bookings: own }, 'invoice', 'K-1')?.booking?.record.key).toBe(
      'own',
    );
  });

  it('never takes a cancelled booking', () => {
    const found = situation(
      {
        bookings: [booking('off', '2026-01-05', { status: 'cancelled' })],
        invoices: [invoice('K-1', '2026-01-10')],
      },
      'invoice',
      'K-1',
    );
    expect(found?.booking).toBeUndefined();
  });
});

describe('from a booking', () => {
  const projects = [{ key: 'p1', client: 'c1' }];
  const bookings = [booking('b1', '2026-03-10', { project: 'p1' })];
  const taken = (invoices: InvoiceData[]) =>
    situation({ projects, bookings, invoices }, 'booking', 'b1')?.invoice;

  it('the invoice is the project’s oldest unpaid one', () => {
    const found = taken([
      invoice('K-1', '2026-01-01', { project: 'p1', ...paid }),
      invoice('K-2', '2026-01-02', { project: 'p1' }),
      invoice('K-3', '2026-01-03', { project: 'p1' }),
      invoice('K-0', '2025-01-01'),
    ]);
    expect(found).toMatchObject({
      record: { key: 'K-2' },
      reason: 'the oldest of 2 unpaid invoices for this project',
    });
  });

  it('else the project’s newest, else the client’s', () => {
    const both = [
      invoice('K-1', '2026-01-01', { project: 'p1', ...paid }),
      invoice('K-2', '2026-01-02', { project: 'p1', ...paid }),
    ];
    expect(taken(both)?.record.key).toBe('K-2');
    expect(taken([invoice('K-7', '2026-01-01'), invoice('K-6', '2025-12-01')])).toMatchObject({
      record: { key: 'K-6' },
      reason: 'the oldest of 2 unpaid invoices',
    });
  });

  it('never a void one, a draft only when nothing else exists', () => {
    const gone = invoice('K-1', '2026-01-01', { status: 'void' });
    const draft = invoice('K-2', '2026-01-02', { status: 'draft', project: 'p1' });
    expect(taken([gone])).toBeUndefined();
    expect(taken([gone, draft])?.record.key).toBe('K-2');
    expect(taken([draft, invoice('K-3', '2026-01-01', paid)])?.record.key).toBe('K-3');
  });

  it('can be given another invoice, with what else there is', () => {
    const found = situation(
      { projects, bookings, invoices: [invoice('K-1', '2026-01-01'), invoice('K-2', '2026-01-02')] },
      'booking',
      'b1',
      { invoice: 'K-2' },
    );
    expect(found?.invoice).toMatchObject({ record: { key: 'K-2' }, reason: 'chosen for this letter' });
    expect(found?.invoice?.alternatives.map(({ key }) => key)).toEqual(['K-1']);
  });
});

describe('from a project or a client', () => {
  it('the booking is the project’s next one, else its latest', () => {
    const projects = [{ key: 'p1', client: 'c1' }];
    const past = booking('past', '2026-02-01', { project: 'p1', status: 'done' });
    const next = booking('next', '2026-03-05', { project: 'p1' });
    const later = booking('later', '2026-03-09', { project: 'p1' });
    expect(situation({ projects, bookings: [later, past, next] }, 'project', 'p1')?.booking).toMatchObject({
      record: { key: 'next' },
      reason: 'the next of 2 coming visits for this project',
    });
    expect(situation({ projects, bookings: [past] }, 'project', 'p1')?.booking?.record.key).toBe('past');
  });

  it('a client’s project is the one with the next booking', () => {
    const projects = [
      { key: 'p1', client: 'c1', starts_on: '2026-02-01', status: 'active' },
      { key: 'p2', client: 'c1', starts_on: '2026-01-01', status: 'active' },
    ];
    const bookings = [
      booking('b1', '2026-03-20', { project: 'p1' }),
      booking('b2', '2026-03-10', { project: 'p2' }),
    ];
    const found = situation({ projects, bookings }, 'client', 'c1');
    expect(found?.project).toMatchObject({
      record: { key: 'p2' },
      reason: 'the project with the next visit',
    });
    expect(found?.booking?.record.key).toBe('b2');
  });

  it('else the newest under way, else the newest', () => {
    const old = { key: 'p1', client: 'c1', starts_on: '2025-01-01', status: 'planned' };
    const done = { key: 'p2', client: 'c1', starts_on: '2026-01-01', status: 'finished' };
    expect(situation({ projects: [old, done] }, 'client', 'c1')?.project?.record.key).toBe('p1');
    expect(situation({ projects: [done] }, 'client', 'c1')?.project).toMatchObject({
      reason: 'the only project',
    });
  });

  it('falls back on the client’s own bookings and invoices', () => {
    const found = situation(
      { bookings: [booking('b1', '2026-03-20')], invoices: [invoice('K-1', '2026-01-01')] },
      'client',
      'c1',
    );
    expect([found?.booking?.record.key, found?.invoice?.record.key]).toEqual(['b1', 'K-1']);
  });
});

describe('from an enquiry', () => {
  it('goes on from its client', () => {
    const found = situation(
      { enquiries: [{ key: 'e1', client: 'c1' }], bookings: [booking('b1', '2026-03-20')] },
      'enquiry',
      'e1',
    );
    expect([found?.client?.record.key, found?.booking?.record.key]).toEqual(['c1', 'b1']);
  });

  it('else the enquirer stands in with the name and addresses given', () => {
    const found = situation(
      { enquiries: [{ key: 'e1', name: 'Bram Tolliver', email: 'bram@tolliver.example' }] },
      'enquiry',
      'e1',
    );
    expect(found?.client).toMatchObject({
      record: { name: 'Bram Tolliver' },
      reason: 'the enquirer, no client yet',
    });
    expect(found?.recipients[0]?.record.data.email).toBe('bram@tolliver.example');
  });
});

describe('the recipient', () => {
  const contacts = [
    { key: 'first', given_name: 'A' },
    { key: 'main', given_name: 'B', uses: ['main'] },
    { key: 'pays', given_name: 'C', uses: ['invoices'] },
    { key: 'books', given_name: 'D', uses: ['bookings', 'copy of invoices'] },
  ];
  const records = {
    clients: [{ key: 'c1', contacts }],
    projects: [{ key: 'p1', client: 'c1', contacts: ['first'] }],
    bookings: [booking('b1', '2026-03-20'), booking('b2', '2026-03-21', { project: 'p1' })],
    invoices: [invoice('K-1', '2026-01-01')],
  };
  const to = (kind: StartingPoint['kind'], key: string) =>
    situation(records, kind, key)?.recipients[0]?.record.data.key;

  it('from an invoice is whoever pays, with copies to whoever always gets one', () => {
    expect(to('invoice', 'K-1')).toBe('pays');
    expect(situation(records, 'invoice', 'K-1')?.copies.map(({ key }) => key)).toEqual(['books']);
  });

  it('is never one who only gets copies', () => {
    const copied = { key: 'byron', given_name: 'Byron', uses: ['copy of invoices'] };
    const clients = [{ key: 'c1', name: 'Ada Lovelace', contacts: [copied] }];
    expect(situation({ clients }, 'client', 'c1')!.recipients[0]).toMatchObject({ reason: 'the client' });
    const both = [{ ...clients[0]!, contacts: [copied, { key: 'm', given_name: 'Mary' }] }];
    expect(situation({ clients: both }, 'client', 'c1')!.recipients[0]).toMatchObject({
      reason: 'the only contact',
    });
  });

  it('from a booking is the one for bookings, with a project its first contact', () => {
    expect(to('booking', 'b1')).toBe('books');
    expect(to('booking', 'b2')).toBe('first');
    expect(to('project', 'p1')).toBe('first');
  });

  it('else is the main contact, else the first, else the client', () => {
    expect(to('client', 'c1')).toBe('main');
    expect(
      situation({ clients: [{ key: 'c1', contacts: [contacts[0]!] }] }, 'client', 'c1')?.recipients[0],
    ).toMatchObject({ reason: 'the only contact' });
    expect(situation({}, 'client', 'c1')?.recipients[0]).toMatchObject({
      record: { kind: 'client' },
      reason: 'the client',
    });
  });

  it('who is written to gets no copy besides', () => {
    const recipients = [{ kind: 'contact' as const, data: contacts[3]! }];
    expect(situation(records, 'invoice', 'K-1', { recipients })?.copies).toEqual([]);
  });
});

it('a starting point that is not there is none', () => {
  for (const kind of ['client', 'enquiry', 'project', 'booking', 'invoice'] as const) {
    expect(situation({}, kind, 'nobody')).toBeUndefined();
  }
});
