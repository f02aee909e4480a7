import { describe, expect, it } from 'vitest';
import { inWords } from '../../problems/problem';
import { readRecords } from './readRecords';

const problems = (value: unknown) =>
  readRecords(typeof value === 'string' ? value : JSON.stringify(value, null, 1), 'r.json').problems.map(
    inWords,
  );
const business = { name: 'Larkfield Piano Care' };

describe('a records file', () => {
  it('may leave every list out', () => expect(problems({ business })).toEqual([]));

  it('that is not JSON says where', () => {
    expect(problems('{"business": {"name": }}')[0]).toMatch(/^r\.json:1:\d+: This is not JSON/);
    expect(problems('')[0]).toMatch(/^r\.json:1:1: /);
    expect(problems('[]')).toEqual([
      'r.json:1:1: The records are an object with a “business” and lists of records.',
    ]);
  });

  it('names every unknown key, its place and the nearest known one, all at once', () => {
    const text =
      '{\n "business": {"nmae": "L"},\n "clients": [\n  {"key": "c1", "emial": "x"}\n ],\n "bokings": []\n}';
    expect(problems(text)).toEqual([
      'r.json:2:15: The business has no key “nmae”. Did you mean “name”?'.replace(
        'The business',
        'A business',
      ),
      'r.json:4:17: A client has no key “emial”. Did you mean “email”?',
      'r.json:6:2: The records have no key “bokings”. Did you mean “bookings”?',
    ]);
  });

  it('refuses what is worked out', () => {
    expect(problems({ business, invoices: [{ key: 'K-1', total: 1200 }] })[0]).toContain(
      '“total” is worked out',
    );
  });

  it.each([
    [{ clients: [{ key: 'c1', since: '2026-02-30' }] }, '“since” is a date as 2026-03-03'],
    [{ bookings: [{ key: 'b1', starts_at: '2026-03-03 09:30' }] }, '“starts_at” is a moment'],
    [{ bookings: [{ key: 'b1', price: 12.5 }] }, '“price” is a sum in minor units'],
    [{ invoices: [{ key: 'i', lines: [{ quantity: 'two' }] }] }, '“quantity” is a number'],
    [{ clients: [{ name: 'Oda' }] }, 'This client needs a “key”'],
    [{ clients: [{ key: 'c1' }, { key: 'c1' }] }, 'another client with the key “c1”'],
    [{ clients: [{ key: 'c1', kind: 'persn' }] }, 'Did you mean “person”?'],
    [{ clients: [{ key: 'c1', address: { city: 'Saltby' } }] }, 'An address has no key “city”'],
    [{ clients: [{ key: 'c1', contacts: [{ key: 'k', uses: ['invoice'] }] }] }, 'A contact is used for'],
    [{ clients: [{ key: 'c1', custom: { a: [1] } }] }, 'A custom field is'],
    [{ bookings: [{ key: 'b1', client: 'c9' }] }, 'There is no client with the key “c9”'],
    [
      { clients: [{ key: 'c1' }], bookings: [{ key: 'b1', client: 'c1', items: ['i1'] }] },
      'no item with the key “i1” at client “c1”',
    ],
    [{ clients: {} }, '“clients” is a list of records'],
    [{ business: { ...business, time_zone: 'Mars/Base' } }, 'is no time zone'],
    [{ business: { ...business, currency: 'pounds' } }, 'is no currency'],
    [{ business: { ...business, locale: 'english!' } }, 'is no locale'],
    [{ business: { ...business, hour_cycle: 10 } }, '“hour_cycle” is 12 or 24'],
    [{ business: { ...business, working_days: [0] } }, 'A working day is 1'],
  ])('%j: %s', (more, message) => {
    expect(problems({ business, ...more }).join('\n')).toContain(message);
  });

  it('has no room for inherited names', () => {
    expect(problems('{"business": {}, "clients": [{"key": "c1", "__proto__": {"name": "x"}}]}')[0]).toContain(
      'no key “__proto__”',
    );
    expect(problems('{"business": {}, "clients": [{"key": "c1", "constructor": "x"}]}')[0]).toContain(
      'no key “constructor”',
    );
  });
});
