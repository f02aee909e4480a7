import { describe, expect, it } from 'vitest';
import { readDay } from '../dates/civil';
import { readMoment } from '../dates/zone';
import { RecordBook } from './recordBook';
import type { RecordsFile } from './recordsFile';
import { schemaOf } from './schema';

const NOW = readMoment('2026-03-02T23:30:00Z')!;
const book = (file: Partial<RecordsFile>) =>
  new RecordBook({ business: {}, clients: [{ key: 'c1' }], ...file }, NOW);
const keys = (records: readonly { key: string }[]) => records.map(({ key }) => key);

describe('a record book', () => {
  it('has today in the business’s zone', () => {
    expect(book({}).today).toBe(readDay('2026-03-02'));
    expect(book({ business: { time_zone: 'Europe/Berlin' } }).today).toBe(readDay('2026-03-03'));
  });

  it('gives collections in their order', () => {
    const own = book({
      bookings: [
        { key: 'late', client: 'c1', starts_at: '2026-03-05T09:00:00Z' },
        { key: 'early', client: 'c1', starts_at: '2026-03-05T09:00:00+02:00' },
        { key: 'open', client: 'c1' },
      ],
      invoices: [
        { key: 'K-10', number: 'K-10', client: 'c1', issued_on: '2026-01-02' },
        { key: 'K-9', number: 'K-9', client: 'c1', issued_on: '2026-01-02' },
        { key: 'K-1', number: 'K-1', client: 'c1', issued_on: '2026-01-01' },
      ],
      projects: [
        { key: 'b', client: 'c1', starts_on: '2026-02-01' },
        { key: 'a', client: 'c1', starts_on: '2026-01-01' },
      ],
    }).ofClient({ key: 'c1' });
    expect(keys(own.bookings)).toEqual(['early', 'late', 'open']);
    expect(keys(own.invoices)).toEqual(['K-1', 'K-9', 'K-10']);
    expect(keys(own.projects)).toEqual(['a', 'b']);
  });

  it('knows the next and the last visit', () => {
    const bookings = [
      { key: 'past', client: 'c1', starts_at: '2026-03-01T09:00:00Z', status: 'done' },
      { key: 'past-off', client: 'c1', starts_at: '2026-03-02T09:00:00Z', status: 'cancelled' },
      { key: 'missed-next', client: 'c1', starts_at: '2026-03-03T09:00:00Z', status: 'missed' },
      { key: 'next', client: 'c1', starts_at: '2026-03-04T09:00:00Z', status: 'tentative' },
    ];
    const full = book({ bookings });
    expect(full.nextOf(full.ofClient({ key: 'c1' }).bookings)?.key).toBe('next');
    expect(full.lastOf(full.ofClient({ key: 'c1' }).bookings)?.key).toBe('past');
  });

  it('finds a booking’s items only at its own client', () => {
    const full = book({
      clients: [
        { key: 'c1', items: [{ key: 'i1' }, { key: 'i2' }] },
        { key: 'c2', items: [{ key: 'i3' }] },
      ],
    });
    expect(keys(full.itemsOf({ key: 'b', client: 'c1', items: ['i2', 'i3', 'i1'] }))).toEqual(['i2', 'i1']);
    expect(full.itemsOf({ key: 'b', client: 'nobody', items: ['i1'] })).toEqual([]);
  });

  it('has nothing of a record that is not there', () => {
    expect(book({}).ofClient(undefined).bookings).toEqual([]);
    expect(book({}).ofProject({ key: 'none' }).invoices).toEqual([]);
  });
});

describe('the schema', () => {
  const item = (custom: object) => ({ key: 'c', items: [{ key: 'i', custom: custom as never }] });

  it('of records without definitions has what any record has, with the type its first value shows', () => {
    const schema = schemaOf({
      business: {},
      clients: [
        item({ a: null, made: '' }),
        {
          ...item({
            a: true,
            made: 1911,
            price: { money: 1200 },
            on: '2026-03-01',
            at: '2026-03-01T09:00:00Z',
            maker: 'Tesslund',
          }),
          key: 'd',
        },
      ],
    });
    const kinds = [...schema.custom('item')].map(([key, field]) => [key, field.type.kind]);
    expect(Object.fromEntries(kinds)).toEqual({
      a: 'yes/no',
      made: 'number',
      price: 'money',
      on: 'date',
      at: 'moment',
      maker: 'text',
    });
    expect(schema.custom('client').size).toBe(0);
  });

  it('with definitions has those alone', () => {
    const definition = {
      record: 'item',
      key: 'size',
      label: 'size',
      type: 'choice' as const,
      choices: ['s', 'l'],
    };
    const schema = schemaOf({ business: { custom_fields: [definition] }, clients: [item({ other: 1 })] });
    expect([...schema.custom('item').keys()]).toEqual(['size']);
    expect(schema.custom('item').get('size')?.type.kind).toBe('text');
  });
});
