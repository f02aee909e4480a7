import { describe, expect, it } from 'vitest';
import { SAMPLE } from '../../fill/test/fillSample';
import type { TemplateDocument } from '../../document/templateDocument';
import { proofOf, type Given } from '../test/proofOf';

const CLIENT = SAMPLE.clients![0]!;
const client = (more: object) => ({ clients: [{ ...CLIENT, ...more }] });
const ids = (body: string, given: Given = {}) =>
  proofOf(body, { from: 'client:c1', ...given }).map(({ id }) => id);
const messages = (body: string, given: Given = {}) =>
  proofOf(body, { from: 'client:c1', ...given }).map(({ message }) => message);

describe('who is greeted', () => {
  it.each([
    ['Hello Oda,', {}],
    ['Dear Ms Hartigan,', {}],
    ['Good morning Oda', {}],
    ['Dear Oda Hartigan', {}],
    ['Hello there,', {}],
    ['Dear all,', {}],
    ['Dear Sir or Madam,', {}],
    ['Hello Odá,', {}],
    ['It is time again.', {}],
    ['Hello from the workshop, where your piano is well and waits for you.', {}],
    ['Hello Oddy,', client({ preferred_name: 'Oddy' })],
    ['Hello Ada and Tom,', client({ name: 'Ada and Tom Reyes' })],
    ['Hello Wray family,', client({ name: 'The Wray family', kind: 'household' })],
  ])('“%s” is in order', (body, records) => expect(ids(body, { records })).toEqual([]));

  it.each([
    ['Hello Bram,', {}, 'It greets “Bram” and goes to Oda Hartigan.'],
    ['Dear Mr Tolliver,', {}, 'It greets “Mr Tolliver” and goes to Oda Hartigan.'],
    ['Good afternoon Marta!', {}, 'It greets “Marta” and goes to Oda Hartigan.'],
    ['Hi Ada and Tom', {}, 'It greets “Ada and Tom” and goes to Oda Hartigan.'],
  ])('“%s” is a query', (body, records, message) => expect(messages(body, { records })).toEqual([message]));

  it.each([
    ['de', 'Guten Tag Frau Hartigan,', []],
    ['de', 'Sehr geehrte Frau Tolliver,', ['greeted Frau Tolliver Oda Hartigan']],
    ['fr', 'Bonjour Oda,', []],
    ['fr', 'Chère Marta,', ['greeted Marta Oda Hartigan']],
  ])('in %s: “%s”', (language, body, expected) => {
    const records = client({ language });
    expect(ids(body, { head: `language: ${language}\n`, records })).toEqual(expected);
  });

  it('is everybody it goes to', () => {
    const records = client({
      kind: 'organisation',
      name: 'The College',
      contacts: [
        { key: 'k1', full_name: 'Hale Brandreth', email: 'hale@college.example' },
        { key: 'k2', full_name: 'Mona Quist', email: 'mona@college.example' },
      ],
    });
    const both = { records, choices: { recipients: ['contact:k1', 'contact:k2'] } };
    expect(ids('Hello Hale and Mona,', both)).toEqual([]);
    expect(messages('Hello Hale,', both)).toEqual(['It greets “Hale” and goes to Mona Quist.']);
    expect(proofOf('Hello Mona,', { from: 'client:c1', records })[0]).toMatchObject({
      cure: { words: 'Write “Hale”', put: 'Hale' },
      at: { line: 1, from: 6, to: 10 },
    });
  });
});

describe('whom a letter is for', () => {
  const partners = [
    { key: 'mover', name: 'Gantry & Rill', email: 'yard@gantry.example' },
    { key: 'keys', name: 'Whitlow Key Makers', email: 'bench@whitlow.example' },
  ];
  const projects = [{ ...SAMPLE.projects![0]!, partners: ['keys'] }];
  const records = { partners, projects };
  const from = 'project:p1';
  it('a partner’s on its way to a client is a query', () => {
    const choices = { recipients: ['client:c1'] };
    expect(messages('x', { from, records, head: 'written to: partner\n', choices })).toEqual([
      '“T” is written for a partner, and goes to Oda Hartigan, a client.',
    ]);
  });
  it('a client’s on its way to a partner, too', () => {
    expect(ids('x', { from, records, choices: { recipients: ['partner:keys'] } })).toEqual([
      'not of theirs keys',
    ]);
  });
  it('and one to a partner who does not work on the job', () => {
    const choices = { recipients: ['partner:mover'] };
    expect(messages('x', { from, records, head: 'written to: partner\n', choices })).toEqual([
      'Gantry & Rill has nothing to do with “restoration”. Whitlow Key Makers has.',
    ]);
    expect(ids('x', { from, records, head: 'written to: partner\n' })).toEqual([]);
  });
});

describe('the same letter again', () => {
  const letter = (at: string, more: object = {}) => ({
    template: 't',
    about: { kind: 'client' as const, key: 'c1' },
    at,
    to: ['oda@hartigan.example'],
    ...more,
  });
  it.each([
    [
      'this morning',
      letter('2026-03-02T08:15:00Z', { member: 'imke' }),
      'The same letter went to Oda Hartigan today at 08:15, by Imke Sandoval.',
    ],
    ['some days ago', letter('2026-02-27T10:00:00Z'), 'The same letter went to Oda Hartigan 3 days ago.'],
    [
      'with another case',
      letter('2026-03-01T10:00:00Z', { to: ['Oda@Hartigan.example'] }),
      'The same letter went to Oda Hartigan yesterday.',
    ],
  ])('%s is a query', (_, one, message) => expect(messages('x', { letters: [one] })).toEqual([message]));
  it.each([
    ['long ago', letter('2026-02-20T10:00:00Z')],
    ['to somebody else', letter('2026-03-01T10:00:00Z', { to: ['hale@college.example'] })],
    ['from another template', letter('2026-03-01T10:00:00Z', { template: 'other' })],
    ['of which it is not known to whom', { ...letter('2026-03-01T10:00:00Z'), to: undefined }],
  ])('%s is none', (_, one) => expect(ids('x', { letters: [one as ReturnType<typeof letter>] })).toEqual([]));
});

it('the same letter is asked about within as many days as the business has settled', () => {
  const letters = [
    {
      template: 't',
      about: { kind: 'client' as const, key: 'c1' },
      at: '2026-02-20T10:00:00Z',
      to: ['oda@hartigan.example'],
    },
  ];
  expect(ids('x', { letters, sameLetterDays: 10 })).toEqual([]);
  expect(ids('x', { letters, sameLetterDays: 11 })).toEqual(['same again 2026-02-20T10:00:00Z']);
});

describe('an address from which the last letter came back', () => {
  const letter = (at: string, more: object = {}) => ({
    template: 'other',
    about: { kind: 'client' as const, key: 'c1' },
    at,
    to: ['oda@hartigan.example'],
    ...more,
  });
  it('is a query until one went through again', () => {
    const bounced = letter('2026-02-01T10:00:00Z', { bounced: true as const });
    expect(ids('x', { letters: [bounced] })).toEqual(['bounced oda@hartigan.example 2026-02-01T10:00:00Z']);
    expect(ids('x', { letters: [bounced, letter('2026-02-03T10:00:00Z')] })).toEqual([]);
    expect(ids('x', { letters: [letter('2026-01-03T10:00:00Z'), bounced] })).toHaveLength(1);
    expect(ids('x', { letters: [], records: client({ email: 'new@hartigan.example' }) })).toEqual([]);
  });
});

describe('the language', () => {
  const GERMAN =
    'Guten Tag Oda, wir kommen am Montag und sind mit der Arbeit bis zum Abend fertig; bitte haben Sie für uns einen Platz frei.';
  const FRENCH =
    'Bonjour Oda, nous venons lundi avec une clé pour la porte, et le piano sera prêt dans les deux jours pour vous.';
  const ENGLISH =
    'Hello Oda, we are with you on Monday and it will be done by the evening; please have a place for us.';
  it.each([
    ['German to who reads English', GERMAN, {}, '', true],
    ['French to who reads English', FRENCH, {}, '', true],
    ['English to who reads German', ENGLISH, client({ language: 'de' }), '', true],
    ['a German template to who reads English', 'x', {}, 'language: de\n', true],
    ['German to who reads German', GERMAN, client({ language: 'de' }), 'language: de\n', false],
    [
      'German by hand in an English template to who reads German',
      GERMAN,
      client({ language: 'de-AT' }),
      '',
      false,
    ],
    ['English to who reads English', ENGLISH, {}, '', false],
    [
      'Danish, which has some of the same small words',
      'Hej Oda, vi kommer på mandag for at stemme klaveret, og for at se på to hamre; det tager to timer, og vi har alt med, så du kan blive på arbejde.',
      {},
      '',
      false,
    ],
    ['too little to tell', 'Guten Tag, bis Montag.', {}, '', false],
  ])('%s', (_, body, records, head, isQuery) => {
    const found = ids(body, { records, head });
    expect(found.some((id) => id.startsWith('language'))).toBe(isQuery);
  });
});

describe('a name above a signature', () => {
  const line = (text: string): TemplateDocument => ({
    type: 'doc',
    content: [{ type: 'paragraph', content: [{ type: 'text', text }] }],
  });
  const signatures = [
    { key: 'imke', name: 'Imke', member: 'imke', usual: true, document: line('Imke Sandoval, Larkfield') },
  ];
  const house = [{ key: 'house', name: 'House', usual: true, document: line('Larkfield Piano Care') }];
  const signed = (body: string, given: Given = {}) =>
    ids(`${body}\n\n{{signature}}`, { signatures, ...given });
  it.each(['Imke', 'Imke Sandoval', 'imke,', 'Kind regards,\\\nImke'])('“%s” is a query', (typed) =>
    expect(signed(`Hello Oda\n\n${typed}`).join()).toContain('name above'),
  );
  it.each(['Kind regards', 'Yours,', 'Imke comes to you', 'Teo'])('“%s” is none', (typed) =>
    expect(signed(`Hello Oda\n\n${typed}`)).toEqual([]),
  );
  it('is none where the signature does not say it', () => {
    expect(signed('Hello Oda\n\nImke', { signatures: house, head: 'signature: House\n' })).toEqual([]);
  });
  it('is taken out in one press', () => {
    const [mark] = proofOf('Hello Oda\n\nImke\n\n{{signature}}', { from: 'client:c1', signatures });
    expect(mark).toMatchObject({ cure: { put: '' }, at: { line: 2, from: 0, to: 4 } });
  });
});

describe('what is another client’s', () => {
  const others = [{ words: 'Bram Tolliver', what: 'the name of', name: 'Bram Tolliver' }];
  it('is a query where it stands', () => {
    expect(messages('As with Bram Tolliver.', { others })).toEqual([
      '“Bram Tolliver” is the name of Bram Tolliver, another client.',
    ]);
    expect(ids('As before.', { others })).toEqual([]);
  });
});
