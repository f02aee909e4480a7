import { describe, expect, it } from 'vitest';
import type { BroughtBooking, BroughtClient, BroughtInvoice, BroughtPayment } from './brought';
import { namesIn } from './namesIn';
import { askedOf, saidBefore, stateOfRow } from './rowState';

const client = (name: string, more: Partial<BroughtClient> = {}): BroughtClient => ({
  kind: 'person',
  name,
  tags: [],
  ...more,
});
const row = <Facts>(facts: Facts, at = 2) => ({ row: at, facts, doubts: [] });
const BOOKING: BroughtBooking = {
  uid: 'v1',
  whose: { emails: [], names: ['Tuning for Ada'] },
  service: 'tuning',
  status: 'confirmed',
  starts_at: '2026-12-01T10:00:00+00:00',
  ends_at: '2026-12-01T11:00:00+00:00',
};
const INVOICE: BroughtInvoice = {
  number: 'OLD-1',
  whose: { emails: [], names: [] },
  status: 'sent',
  issued_on: '2026-10-01',
  lines: [],
  payments: [],
};
const PAYMENT: BroughtPayment = { number: 'OLD-1', paid_on: '2026-11-01', amount: 5000 };
const ADA = { key: 'ada', name: 'Ada Reyes', by: 'email' } as const;
const TOM = { key: 'tom', name: 'Tom Reyes', by: 'last name' } as const;

describe('a client of a file', () => {
  it('comes in, is there already, or stays out, and somebody can say otherwise', () => {
    expect(stateOfRow('client', row(client('Ada')), undefined)).toEqual({ state: 'comes' });
    expect(stateOfRow('client', { row: 2, doubts: [] }, undefined)).toEqual({ state: 'unclear' });
    expect(stateOfRow('client', row(client('Ada')), { clients: [ADA] })).toEqual({
      state: 'there',
      client: ADA,
      why: 'Ada Reyes has the same address.',
    });
    expect(stateOfRow('client', row(client('Ada')), { clients: [ADA] }, { as: 'brought in' })).toEqual({
      state: 'comes',
    });
    expect(stateOfRow('client', row(client('Ada')), undefined, { as: 'left out' })).toEqual({
      state: 'left out',
    });
    expect(stateOfRow('client', row(client('Ada')), undefined, {}, { earlier: 4 })).toEqual({
      state: 'there',
      why: 'Row 4 of the file says the same.',
    });
  });

  it('is the same as an earlier row by its name with its address, or with its number', () => {
    const rows = [
      row(client('Ada', { email: 'A@post.example' }), 2),
      row(client('Ada'), 3),
      row(client('ada', { email: 'a@post.example' }), 4),
      row(client('Ada', { phone: '1' }), 5),
      { row: 6, doubts: [] },
      row(client('Ada'), 7),
    ];
    expect([...saidBefore(rows)]).toEqual([
      [4, 2],
      [7, 3],
    ]);
  });
});

describe('a visit of a calendar', () => {
  it('is whose address or name is in it; a last name alone is asked about', () => {
    expect(stateOfRow('booking', row(BOOKING), { clients: [ADA, TOM] })).toEqual({
      state: 'comes',
      client: ADA,
    });
    expect(stateOfRow('booking', row(BOOKING), { clients: [TOM] })).toEqual({
      state: 'unclear',
      needs: 'client',
      why: 'Whose is it?',
      perhaps: [{ key: 'tom', name: 'Tom Reyes' }],
    });
    expect(
      stateOfRow('booking', row(BOOKING), {
        clients: [
          { ...ADA, by: 'name' },
          { ...TOM, by: 'name' },
        ],
      }),
    ).toMatchObject({
      state: 'unclear',
      perhaps: [{ name: 'Ada Reyes' }, { name: 'Tom Reyes' }],
    });
    expect(stateOfRow('booking', row(BOOKING), undefined)).toMatchObject({ why: 'Whose is it?' });
  });

  it('is whose somebody says, and not whose it seemed to be', () => {
    const chosen = { key: 'tom', name: 'Tom Reyes' };
    expect(stateOfRow('booking', row(BOOKING), { clients: [ADA] }, { client: chosen })).toEqual({
      state: 'comes',
      client: chosen,
    });
    expect(stateOfRow('booking', row(BOOKING), { clients: [ADA] }, { client: null })).toMatchObject({
      needs: 'client',
    });
  });

  it('that came in before is changed, of whoever it is', () => {
    const there = { key: 'b1', client: 'Ada Reyes', client_key: 'ada' };
    expect(stateOfRow('booking', row(BOOKING), { clients: [], there }, {}, { bookingWord: 'visit' })).toEqual(
      {
        state: 'comes',
        why: 'This visit came in before: it is changed where it is otherwise.',
        client: { key: 'ada', name: 'Ada Reyes' },
      },
    );
  });
});

it('an invoice whose number is there stays out; a payment is for an invoice that is open', () => {
  const there = { key: 'i1', client: 'Ada Reyes', client_key: 'ada', open: 5000 };
  expect(stateOfRow('invoice', row(INVOICE), { clients: [ADA], there })).toEqual({
    state: 'there',
    why: 'An invoice of this number is there already, of Ada Reyes.',
  });
  expect(stateOfRow('payment', row(PAYMENT), undefined)).toMatchObject({
    state: 'unclear',
    why: 'There is no invoice OLD-1 that is to be paid.',
  });
  expect(stateOfRow('payment', row(PAYMENT), { clients: [], there })).toEqual({
    state: 'comes',
    invoice: 'i1',
    client: { key: 'ada', name: 'Ada Reyes' },
  });
  expect(stateOfRow('payment', row({ ...PAYMENT, amount: 5001 }), { clients: [], there })).toMatchObject({
    state: 'unclear',
    why: 'It is more than what is open on OLD-1.',
  });
});

it('what is asked of each, and nothing of what cannot be read', () => {
  expect(askedOf('client', row(client('Ada', { email: 'a@post.example', mobile: '07700 900100' })))).toEqual({
    row: 2,
    emails: ['a@post.example'],
    phones: ['07700 900100'],
    names: ['Ada'],
  });
  expect(askedOf('booking', row(BOOKING))).toMatchObject({ names: ['Tuning for Ada'], mark: 'v1' });
  expect(askedOf('invoice', row(INVOICE))).toMatchObject({ mark: 'OLD-1' });
  expect(askedOf('payment', row(PAYMENT))).toMatchObject({ names: [], mark: 'OLD-1' });
  expect(askedOf('client', { row: 2, doubts: [] })).toBeUndefined();
});

it('names are looked for in every run of words, however long the title', () => {
  expect(namesIn('Tuning, Ada  Reyes (grand)')).toEqual(
    expect.arrayContaining(['ada reyes', 'reyes', 'tuning ada reyes', 'tuning, ada reyes (grand)']),
  );
  expect(namesIn('Quist & Sons')).toContain('quist & sons');
  expect(namesIn('')).toEqual([]);
  expect(namesIn('word '.repeat(10_000)).length).toBeLessThan(200);
});
