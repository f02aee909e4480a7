import { expect, it } from 'vitest';
import { readMoment } from '../dates/zone';
import { RecordBook } from '../records/recordBook';
import type { RecordsFile } from '../records/recordsFile';
import { situationFrom } from '../records/which/situation';
import { sourceOf } from './sourceOf';

const RECORDS: RecordsFile = {
  business: { name: 'Larkfield Piano Care' },
  clients: [
    {
      key: 'college',
      name: 'Thornholt College',
      given_name: 'Thorn',
      phone: '01632 960144',
      contacts: [{ key: 'hale', given_name: 'Hale', family_name: 'Brandreth', preferred_name: 'Hal' }],
      items: [{ key: 'upright', name: 'the upright' }],
    },
    { key: 'lin', name: 'Wen Lin' },
  ],
};
const book = new RecordBook(RECORDS, readMoment('2026-11-25T09:00:00Z')!);
const from = (key: string) => situationFrom(book, { kind: 'client', key }, { sender: { key: 'imke' } })!;

const asked = (record: string, fact: string) => {
  const source = sourceOf({ record, fact }, from(record === 'client:lin' ? 'lin' : 'college'));
  return source && [source.of, ...source.facts.map((one) => `${one.label}: ${one.was}`)];
};

it.each([
  ['client:college', 'client.phone', [undefined, 'phone: 01632 960144']],
  // One that is missing, too.
  ['client:college', 'client.mobile', [undefined, 'mobile: ']],
  ['contact:hale', 'recipient.greeting_name', ['contact:hale', 'preferred name: Hal']],
  ['client:college', 'recipient.greeting_name', [undefined, 'given name: Thorn']],
  ['contact:hale', 'recipient.full_name', ['contact:hale', 'given name: Hale', 'family name: Brandreth']],
  ['item:upright', 'name', ['item:upright', 'name: the upright']],
  ['client:lin', 'client.greeting_name', [undefined, 'name: Wen Lin']],
  // What is worked out, and what is kept elsewhere.
  ['client:college', 'client.outstanding', undefined],
  ['contact:gone', 'recipient.email', undefined],
  ['member:imke', 'sender.phone', undefined],
  ['client:other', 'client.phone', undefined],
])('%s, %s', (record, fact, facts) => expect(asked(record, fact)).toEqual(facts));
