import { describe, expect, it } from 'vitest';
import { readMoment } from '../dates/zone';
import { valuesOf } from '../fairCopy/values';
import type { RecordsFile } from '../records/recordsFile';
import { readTemplate } from '../template/text/readTemplate';
import type { KeptTemplate } from '../template/template';
import { changedFacts, factsOf } from './factsOf';
import type { Letter } from './letter';
import { otherForms } from './otherForms';
import { readSaidOtherwise } from './readSaidOtherwise';
import { WritingDesk } from './writingDesk';

const RECORDS: RecordsFile = {
  business: { name: 'Larkfield Piano Care', time_zone: 'Europe/London', currency: 'GBP', locale: 'en-GB' },
  members: [{ key: 'imke', given_name: 'Imke', email: 'imke@larkfield.example' }],
  clients: [
    {
      key: 'oda',
      name: 'Oda Hartigan',
      given_name: 'Oda',
      family_name: 'Hartigan',
      honorific: 'Ms',
      email: 'oda@x.example',
      phone: '01632 960144',
    },
  ],
  bookings: [
    {
      key: 'b1',
      client: 'oda',
      service: 'Tuning visit',
      status: 'confirmed',
      starts_at: '2026-12-09T10:00:00Z',
      ends_at: '2026-12-09T12:00:00Z',
    },
  ],
  invoices: [
    {
      key: 'i1',
      number: 'i1',
      client: 'oda',
      status: 'sent',
      issued_on: '2026-11-20',
      due_on: '2026-12-04',
      lines: [{ description: 'Tuning', unit_price: 11000 }],
      payments: [{ amount: 3000, paid_on: '2026-11-22' }],
    },
  ],
};
const TEMPLATE = `---
name: Coming
group: Visits
starts from: booking
subject: '{{booking.service}}'
---
Hello {{recipient.greeting_name}},

we come on {{booking.starts_at | day and month}} at {{booking.starts_at | time}}, for {{invoice.total}}. Ring {{client.phone}}.

`;

function deskOf(records = RECORDS, text = TEMPLATE) {
  const kept: KeptTemplate = { ...readTemplate(text, 'coming.md').value!, key: 'coming', version: 1 };
  return new WritingDesk({
    records,
    now: readMoment('2026-11-27T09:00:00Z')!,
    templates: [kept],
    passages: [],
    signatures: [],
    member: 'imke',
  });
}
const START = { kind: 'booking', key: 'b1' } as const;
const desk = deskOf();
const begun: Letter = (() => {
  const choices = { template: 'coming', answers: {} };
  return { choices, document: desk.fill(START, choices)!.document };
})();

function formsFor(value: string, letter = begun) {
  const filled = desk.fill(START, letter.choices)!;
  const note = filled.notes.find((one) => one.value === value)!;
  return { note, forms: otherForms(note, filled, desk) };
}
const wordsFor = (value: string) =>
  formsFor(value).forms.map(({ words, label }) => (label === undefined ? words : `${words} (${label})`));

/** The letter with a fact said in other words that are offered for it. */
function said(letter: Letter, value: string, words: string): Letter {
  const { note, forms } = formsFor(value, letter);
  const form = forms.find((one) => one.words === words);
  if (!form) throw new Error(`“${words}” is not offered: ${forms.map((one) => one.words).join(', ')}`);
  return desk.change(START, letter, {
    saidOtherwise: { ...letter.choices.saidOtherwise, [note.id]: form.said },
  });
}
const words = ({ document }: Letter) => valuesOf(document).map((one) => one.words);

describe('the other forms of a fact', () => {
  it('of a day', () => {
    expect(wordsFor('9 December')).toEqual(
      expect.arrayContaining(['Wednesday, 9 December 2026', 'in 12 days', 'Wednesday', '10:00']),
    );
    // Days that are counted from it are other days.
    expect(wordsFor('9 December').join()).not.toContain('8 December');
  });

  it('of a sum, with the record’s other sums', () => {
    const { forms } = formsFor('£110.00');
    expect(forms.flatMap(({ words: said, label }) => (label === undefined ? said : []))).toEqual(['£110']);
    expect(forms.filter(({ label }) => label).map((one) => one.words)).toEqual(
      expect.arrayContaining(['£30.00', '£80.00']),
    );
    // Half of it is another fact.
    expect(forms.map((one) => one.words)).not.toContain('£55.00');
  });

  it('of a name, with the other ways to call them', () => {
    expect(wordsFor('Oda').map((one) => one.replace(/ \(.*/, ''))).toEqual(
      expect.arrayContaining(['Oda Hartigan', 'Hartigan']),
    );
  });

  it('of a number to ring', () => {
    expect(formsFor('01632 960144').forms.map((one) => one.words)).toContain('+44 1632 960144');
  });
});

describe('a fact that is said otherwise', () => {
  it('stays a fact: the records’, in its place, and it can be said otherwise again', () => {
    const one = said(begun, '9 December', 'in 12 days');
    expect(words(one)).toContain('in 12 days');
    expect(valuesOf(one.document).every((value) => value.words === value.said)).toBe(true);
    const two = said(one, 'in 12 days', 'Wednesday');
    expect(words(two)).toContain('Wednesday');
    expect(words(two)).not.toContain('in 12 days');
  });

  it('follows its record, and is told when it has changed', () => {
    const letter = said(begun, '9 December', 'in 12 days');
    const facts = factsOf(desk.fill(START, letter.choices)!);
    const moved: RecordsFile = {
      ...RECORDS,
      bookings: [
        { ...RECORDS.bookings![0]!, starts_at: '2026-12-10T10:00:00Z', ends_at: '2026-12-10T12:00:00Z' },
      ],
    };
    const now = deskOf(moved).fill(START, letter.choices)!;
    expect(valuesOf(now.document).map((one) => one.words)).toContain('in 13 days');
    expect(changedFacts(facts, now, letter.document).length).toBeGreaterThan(0);
  });

  it('keeps what is written by hand around it', () => {
    const [subject, greeting, ...rest] = begun.document.content;
    const byHand = {
      ...begun,
      document: {
        ...begun.document,
        content: [
          subject!,
          { ...greeting!, content: [...greeting!.content!, { type: 'text', text: ' dear' }] },
          ...rest,
        ],
      },
    } as Letter;
    const letter = said(byHand, '9 December', 'in 12 days');
    expect(JSON.stringify(letter.document)).toContain(' dear');
  });

  it('is none where the template has another fact there by now, or it cannot be said', () => {
    const { note } = formsFor('9 December');
    const filled = (otherwise: object) =>
      desk.fill(START, {
        ...begun.choices,
        saidOtherwise: { [note.id]: { of: note.path, path: 'booking.starts_at', steps: [], ...otherwise } },
      })!;
    const valueIn = (otherwise: object) => filled(otherwise).notes.find(({ id }) => id === note.id)!.value;
    expect(valueIn({})).toBe('9 December 2026');
    expect(valueIn({ of: 'booking.ends_at' })).toBe('9 December');
    expect(valueIn({ path: 'booking.nothing' })).toBe('9 December');
    expect(valueIn({ steps: [{ step: 'share', percent: '50' }] })).toBe('9 December');
    expect(valueIn({ path: 'client' })).toBe('9 December');
  });
});

describe('what fields are to say is read from outside', () => {
  const ONE = { of: 'a.b', path: 'booking.starts_at', steps: [{ step: 'from now' }] };
  it('as it would be read from text', () => {
    expect(readSaidOtherwise({ 'coming:1': ONE })).toEqual({ 'coming:1': ONE });
  });
  it.each([
    { x: null },
    { x: 'text' },
    { x: { ...ONE, path: 'a b' } },
    { x: { ...ONE, path: '#when a is b' } },
    { x: { ...ONE, steps: [{ step: 'no such' }] } },
    { x: { ...ONE, steps: [{ step: 'plus', amount: 'x', unit: '}}' }] } },
    { x: { ...ONE, steps: 'from now' } },
    { x: { ...ONE, more: 1 } },
    Object.fromEntries(Array.from({ length: 501 }, (_, i) => [`p${i}`, ONE])),
  ])('and else refused: %#', (json) => expect(() => readSaidOtherwise(json)).toThrow());
});
