import { describe, expect, it } from 'vitest';
import { RecordBook } from '../recordBook';
import { newClientKey, newClientOf } from './newClient';
import { situationFrom } from './situation';

describe('someone who is in no record yet', () => {
  it.each([
    ['Bram Tolliver <bram@tolliver.example>', 'Bram Tolliver', 'person', 'bram@tolliver.example'],
    ['Ada and Tom Reyes <ada@reyes.example>', 'Ada and Tom Reyes', 'household', 'ada@reyes.example'],
    ['Saltby School <office@saltby.example>', 'Saltby School', 'organisation', 'office@saltby.example'],
    ['<bram@tolliver.example>', undefined, 'person', 'bram@tolliver.example'],
  ])('%s', (key, name, kind, email) => {
    expect(newClientOf(key)).toEqual({ key, kind, email, ...(name === undefined ? {} : { name }) });
    expect(newClientKey(name ?? '', email)).toBe(key);
  });

  it.each([
    'hartigan',
    'bram@tolliver.example',
    'Bram <bram>',
    'Bram <a@b@c.example>',
    '> <bram@tolliver.example>',
    `${'B'.repeat(90)} <bram@tolliver.example>`,
    '<'.repeat(100_000),
  ])('%s is none', (key) => expect(newClientOf(key)).toBeUndefined());

  it('has a key whatever is typed for a name, as long as it is short enough', () => {
    expect(newClientKey('  Bram \n Tolliver <x>', 'b@t.example')).toBe('Bram Tolliver x <b@t.example>');
    expect(newClientKey('B'.repeat(90), 'bram@tolliver.example')).toBeUndefined();
    expect(newClientKey('Bram', 'no address')).toBeUndefined();
  });
});

describe('a letter to an address', () => {
  const book = new RecordBook(
    {
      business: {},
      clients: [
        {
          key: 'school',
          name: 'Saltby School',
          email: 'office@saltby.example',
          contacts: [
            { key: 'head', given_name: 'Wen', email: 'wen@saltby.example' },
            { key: 'books', given_name: 'Joost', email: 'joost@saltby.example', uses: ['main'] },
          ],
        },
      ],
    },
    0,
  );
  const from = (key: string) => {
    const found = situationFrom(book, { kind: 'client', key }, { sender: { key: 'm' } });
    const [to] = found?.recipients ?? [];
    return [found?.client?.record.key, found?.client?.reason, to?.record.data.email, to?.reason];
  };

  it('is to whoever may have it, who is no client yet', () => {
    const key = 'Bram Tolliver <bram@tolliver.example>';
    expect(from(key)).toEqual([
      key,
      'whoever has this address, no client yet',
      'bram@tolliver.example',
      'whose address it is',
    ]);
  });

  it('is to the client who has it by now, whatever name was typed', () => {
    expect(from('Office <OFFICE@saltby.example>')).toEqual([
      'school',
      'the client who has this address',
      'office@saltby.example',
      'whose address it is',
    ]);
  });

  it('is to that one of a client’s people who has it, not to whom the rule takes', () => {
    expect(from('<wen@saltby.example>').slice(2)).toEqual(['wen@saltby.example', 'whose address it is']);
    expect(from('school').slice(2)).toEqual(['joost@saltby.example', 'the main contact']);
  });

  it('is none where the key is neither', () =>
    expect(from('nobody')).toEqual([undefined, undefined, undefined, undefined]));
});
