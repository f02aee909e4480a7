import { describe, expect, it } from 'vitest';
import { compileTemplate } from '../fill/compileTemplate';
import { SAMPLE } from '../fill/test/fillSample';
import { RecordBook } from '../records/recordBook';
import { schemaOf } from '../records/schema';
import { readTemplate } from '../template/text/readTemplate';
import { startsIn } from '../records/startsIn';
import { HoleCount } from './holesOver';

const RECORDS = {
  ...SAMPLE,
  clients: [
    { key: 'a', kind: 'person', name: 'Oda Hartigan', mobile: '07700 900001' },
    { key: 'b', kind: 'person', name: 'Per Wray' },
    { key: 'c', kind: 'person', name: 'Ines Quist' },
  ],
  enquiries: [
    { key: 'e1', received_at: '2026-03-01T09:00:00Z', via: 'mail', name: 'Somebody', status: 'waiting' },
  ],
  projects: [],
  bookings: [
    {
      key: 'b1',
      client: 'b',
      service: 'tuning visit',
      starts_at: '2026-03-03T09:00:00Z',
      ends_at: '2026-03-03T10:00:00Z',
      status: 'confirmed',
    },
    {
      key: 'b2',
      client: 'b',
      service: 'voicing',
      starts_at: '2026-03-04T09:00:00Z',
      ends_at: '2026-03-04T10:00:00Z',
      status: 'confirmed',
    },
    {
      key: 'b3',
      client: 'a',
      starts_at: '2026-03-05T09:00:00Z',
      ends_at: '2026-03-05T10:00:00Z',
      status: 'confirmed',
    },
  ],
  invoices: [],
} as unknown as typeof SAMPLE;

function countOf(from: 'client' | 'booking' | 'enquiry', body: string, head = '') {
  const { value } = readTemplate(
    `---\nname: T\ngroup: G\nstarts from: ${from}\nsubject: S\n${head}---\n${body}`,
    't.md',
  );
  const { compiled } = compileTemplate(value!, { schema: schemaOf(RECORDS), passages: new Map() });
  const book = new RecordBook(RECORDS, Date.parse('2026-03-02T09:00:00Z'));
  const count = new HoleCount(compiled!, SAMPLE.members![0]!);
  for (const key of startsIn(book, from)) count.add(book, key);
  return count.counted;
}

describe('holes over all clients', () => {
  it('are counted by what is missing, with whom it is missing for', () => {
    expect(countOf('client', '{{client.mobile}} {{client.mobile}} {{client.name}}')).toEqual({
      clients: 3,
      holes: [
        {
          path: 'client.mobile',
          label: 'client mobile',
          count: 2,
          records: [
            { start: 'b', client: 'b', name: 'Per Wray', reason: 'The client Per Wray has no mobile.' },
            { start: 'c', client: 'c', name: 'Ines Quist', reason: 'The client Ines Quist has no mobile.' },
          ],
        },
      ],
    });
  });

  it('count a client with several records once, and only records that the template fits', () => {
    const all = countOf('booking', '{{client.mobile}} {{booking.service}}');
    expect(all.clients).toBe(2);
    expect(all.holes.map(({ path, count, records }) => [path, count, records[0]!.start])).toEqual([
      ['client.mobile', 1, 'b1'],
      ['booking.service', 1, 'b3'],
    ]);
    const fitting = countOf('booking', '{{client.mobile}}', 'fits when: booking.service is "voicing"\n');
    expect(fitting).toMatchObject({ clients: 1, holes: [{ records: [{ start: 'b2' }] }] });
  });

  it('are none where a word speaks for what is missing, or where each letter is asked', () => {
    expect(countOf('client', '{{client.mobile | or "–"}} {{? Rate}} {{gap "x"}}').holes).toEqual([]);
  });

  it('name whoever asked and is no client yet', () => {
    expect(countOf('enquiry', '{{enquiry.service}}').holes[0]!.records).toEqual([
      { start: 'e1', name: 'Somebody', reason: expect.stringContaining('service') as string },
    ]);
  });
});
