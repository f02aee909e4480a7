import { describe, expect, it } from 'vitest';
import { fillSample } from '../fill/test/fillSample';
import { isAddress, readMailboxes } from './addresses';
import { addressingOf } from './addressingOf';

describe('one address (RFC 5322 addr-spec, RFC 6531)', () => {
  it.each([
    'oda@hartigan.example',
    'oda.hartigan+piano@mail.hartigan.example',
    "o'connell@saltby.example",
    'josé@lärche.example',
    '"oda.h"@hartigan.example',
  ])('%s', (text) => expect(isAddress(text)).toBe(true));

  it.each([
    '',
    'oda',
    'oda@',
    '@hartigan.example',
    'oda@hartigan..example',
    'oda@@hartigan.example',
    'oda@hartigan.example, tom@hartigan.example',
    'oda@hartigan.example; tom@hartigan.example',
    'Oda <oda@hartigan.example>',
    '<oda@hartigan.example>',
    'oda@hartigan.example\nBcc: thief@x.example',
    'oda hartigan@hartigan.example',
    `${'o'.repeat(250)}@hartigan.example`,
  ])('not “%s”', (text) => expect(isAddress(text)).toBe(false));

  it('whatever its length is judged at once', () => {
    const began = performance.now();
    for (const text of ['a@'.repeat(100_000), '('.repeat(100_000), '"'.repeat(4_000), 'a,'.repeat(2_000)]) {
      isAddress(text);
      readMailboxes(text);
    }
    expect(performance.now() - began).toBeLessThan(5_000);
  });
});

/** The addressing of a letter from a head, to a client with other facts. */
function addressed(head: string, client: object = {}, wishes = {}) {
  const records = {
    clients: [{ key: 'c1', name: 'Oda Hartigan', email: 'oda@hartigan.example', ...client }],
  };
  return addressingOf(fillSample('x', { head, records, wishes }));
}

describe('whom a letter has to do with', () => {
  it('comes from whoever writes, and goes to whoever it is for', () => {
    expect(addressed('')).toMatchObject({
      from: { name: 'Imke Sandoval', email: 'imke@larkfield.example' },
      to: [{ name: 'Oda Hartigan', email: 'oda@hartigan.example' }],
      copies: [],
      wrong: [],
    });
  });

  it('comes from the business where the head says so', () => {
    expect(addressed('from: house\n').from).toEqual({
      name: 'Larkfield Piano Care',
      email: 'office@larkfield.example',
    });
  });

  it('reads names and addresses of the head, one by one', () => {
    const { copies, blindCopies, replyTo } = addressed(
      "copy: '{{client.name}} <{{client.email}}>, office@larkfield.example'\nblind copy: 'Books: a@x.example, b@x.example;'\nreply to: '{{business.email}}'\n",
      {
        email: 'oda@other.example',
        contacts: [{ key: 'k', given_name: 'Tom', email: 'tom@hartigan.example' }],
      },
    );
    expect(copies).toEqual([
      { name: 'Oda Hartigan', email: 'oda@other.example' },
      { name: '', email: 'office@larkfield.example' },
    ]);
    expect(blindCopies.map(({ email }) => email)).toEqual(['a@x.example', 'b@x.example']);
    expect(replyTo).toEqual([{ name: '', email: 'office@larkfield.example' }]);
  });

  it.each([
    'Oda <thief@x.example>',
    'Oda, thief@x.example',
    'Oda" <thief@x.example>, "',
    'Oda\\" <thief@x.example>',
    'Oda;thief@x.example',
    'Oda (thief@x.example)',
    'Oda:thief@x.example;',
    'Oda\r\nBcc: thief@x.example',
  ])('a name like %j makes nobody a recipient', (name) => {
    const { copies, blindCopies, to, wrong } = addressed(
      "copy: '{{client.name}} <{{client.email}}>'\nblind copy: '{{client.name}} <office@larkfield.example>'\n",
      { name },
    );
    const all = [...to, ...copies, ...blindCopies].map(({ email }) => email);
    expect(all).not.toContain('thief@x.example');
    expect(new Set(all)).toEqual(new Set(['oda@hartigan.example', 'office@larkfield.example']));
    expect(wrong).toEqual([]);
    expect(JSON.stringify(to)).not.toMatch(/\\[rn]/);
  });

  it('what is no address reaches no header and is told', () => {
    expect(
      addressed("copy: 'the office'\n", { email: 'oda@hartigan.example, tom@hartigan.example' }),
    ).toMatchObject({
      to: [],
      copies: [],
      wrong: [
        { place: 'To', text: 'oda@hartigan.example, tom@hartigan.example' },
        { place: 'Copy', text: 'the office' },
      ],
    });
  });
});
