import { describe, expect, it } from 'vitest';
import { readMoment } from '../dates/zone';
import { RecordBook } from '../records/recordBook';
import type { ClientData, RecordsFile } from '../records/recordsFile';
import { situationFrom } from '../records/which/situation';
import { beforeWriting } from './beforeWriting';

/** What is said before a letter to a client is begun. */
function said(client: Partial<ClientData>, bounced: string[] = []): string[] {
  const records: RecordsFile = {
    business: { name: 'Larkfield Piano Care', locale: 'en-GB' },
    members: [],
    clients: [{ key: 'oda', name: 'Oda Hartigan', ...client }],
  };
  const book = new RecordBook(records, readMoment('2026-11-25T09:00:00Z')!);
  const situation = situationFrom(book, { kind: 'client', key: 'oda' }, { sender: { key: 'imke' } })!;
  return beforeWriting(situation, new Set(bounced));
}

describe('before a letter is begun', () => {
  const email = 'Oda@hartigan.example';

  it('nothing is said where nothing is', () => expect(said({ email }, ['per@hartigan.example'])).toEqual([]));

  it('that there is no address', () => expect(said({})).toEqual(['Oda Hartigan has no email address.']));

  it('that the last one came back, however the address is written', () =>
    expect(said({ email }, ['oda@hartigan.example'])).toEqual([
      'The last letter to Oda@hartigan.example came back.',
    ]));

  it('that none is wanted, and since when', () => {
    expect(said({ email, no_letters_since: '2026-03-03' })).toEqual([
      'Oda Hartigan asked for no letters on 3 March 2026.',
    ]);
    expect(said({ no_letters_since: '2026-03-03' })).toHaveLength(2);
  });

  it('of the person whom it would go to, not of the house', () => {
    const contacts = [{ key: 'hale', given_name: 'Hale', uses: ['main'], email: 'hale@x.example' }];
    expect(said({ kind: 'organisation', contacts }, ['hale@x.example'])).toEqual([
      'The last letter to hale@x.example came back.',
    ]);
  });
});
