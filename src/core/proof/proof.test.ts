import { describe, expect, it } from 'vitest';
import type { RecordsFile } from '../records/recordsFile';
import { SAMPLE } from '../fill/test/fillSample';
import type { TemplateDocument } from '../document/templateDocument';
import { proofOf, type Given } from './test/proofOf';

/** What the proof says of a letter from the sample's records, in words. */
const marksOf = (body: string, given: Given = {}): string[] =>
  proofOf(body, given).map((mark) => `${mark.kind}: ${mark.message}`);

const invoice = (more: object) => ({ invoices: [{ ...SAMPLE.invoices![0]!, ...more }] });
const booking = (more: object) => ({ bookings: [{ ...SAMPLE.bookings![0]!, ...more }] });
const client = (more: object) => ({ clients: [{ ...SAMPLE.clients![0]!, ...more }] });

it('nothing is in the way of a letter in order', () => {
  expect(marksOf('Hello {{recipient.greeting_name}}, {{invoice.balance}} is open.')).toEqual([]);
});

describe('a letter that contradicts the records', () => {
  it.each([
    [
      'a cancelled visit',
      'on {{booking.starts_at}}',
      'booking:b1',
      booking({ status: 'cancelled' }),
      'The tuning visit, Tuesday 3 March at 09:30, is cancelled',
    ],
    [
      'a void invoice',
      'here is {{invoice.number}}',
      'invoice:K-101',
      invoice({ status: 'void' }),
      'Invoice K-101 is void',
    ],
    [
      'a draft',
      'here is {{invoice.number}}',
      'invoice:K-101',
      invoice({ status: 'draft' }),
      'Invoice K-101 is still a draft',
    ],
    [
      'a cancelled project',
      'the {{project.title}} is done',
      'project:p1',
      { projects: [{ ...SAMPLE.projects![0]!, status: 'cancelled' }] },
      'The project “restoration” is cancelled',
    ],
    [
      'nothing owed',
      '{{invoice.balance}} has not reached us',
      'invoice:K-101',
      invoice({ payments: [{ amount: 123450 }] }),
      'Nothing is left to pay of invoice K-101, and the letter says “£0.00”.',
    ],
  ] as const)('%s', (_, body, from, records, message) => {
    expect(marksOf(body, { from, records: records as Partial<RecordsFile> }).join()).toContain(
      `query: ${message}`,
    );
  });

  it('is let stand by its writer, and not asked again', () => {
    const records = invoice({ status: 'void' });
    const stets = ['called off invoice:K-101'];
    expect(marksOf('{{invoice.number}}', { records })).toHaveLength(1);
    expect(marksOf('{{invoice.number}}', { records, choices: { stets } })).toEqual([]);
  });

  it('says nothing of a record that the letter does not name', () => {
    expect(
      marksOf('thank you', { from: 'invoice:K-101', records: booking({ status: 'cancelled' }) }),
    ).toEqual([]);
  });
});

it('a template that is meant for another moment is a query', () => {
  const head = 'fits when: invoice.is_overdue and invoice.days_overdue at least 14\n';
  expect(marksOf('x', { head })).toEqual([]);
  expect(marksOf('x', { head, records: invoice({ due_on: '2026-03-01' }) })).toEqual([
    'query: “T” is not meant for this invoice as it stands. Read it well, or choose another template.',
  ]);
});

describe('what a template attaches', () => {
  const head = 'attach: [invoice pdf, Price list.pdf]\n';
  it('is a stop until it is left out', () => {
    expect(marksOf('it is enclosed', { head })).toEqual([
      'stop: “Price list.pdf” is not among the business’s files. Leave it out, and read whether the letter speaks of it.',
    ]);
    expect(marksOf('x', { head, choices: { leftOut: ['Price list.pdf'] } })).toEqual([]);
  });

  it('of the records is a stop where there is nothing that it is made of', () => {
    const entry = 'attach: [booking calendar entry]\n';
    expect(marksOf('x', { head: entry, records: { bookings: [] } })).toEqual([
      'stop: There is no visit whose calendar entry could go along. Leave it out, and read whether the letter speaks of it.',
    ]);
    expect(marksOf('x', { head: entry })).toEqual([]);
  });

  it('is a query when many mail servers would not take it', () => {
    const id = '00000000-0000-4000-8000-000000000001';
    const added = [{ from: 'letter' as const, id, name: 'Film.mp4', size: 12_000_000 }];
    expect(marksOf('the film is attached', { choices: { added } })).toEqual([
      'query: What goes along has 12 MB together. Some mail servers take no more than 10 MB.',
    ]);
  });

  it('goes along when it is a file that is there, as long as all of it is not too large', () => {
    const files = [
      { name: 'Price list.pdf', size: 9_000_000 },
      { name: 'Photographs.zip', size: 8_000_000 },
    ];
    const both = 'attach: [price LIST.pdf, Photographs.zip, Photographs.zip]\n';
    expect(marksOf('x', { head: 'attach: [price LIST.pdf]\n', files })).toEqual([]);
    expect(marksOf('x', { head: both, files })).toEqual([
      'stop: What goes along has 17 MB together, and at most 15 MB can: leave out “Price list.pdf”.',
    ]);
    expect(marksOf('x', { head: both, files, choices: { leftOut: ['Price list.pdf'] } })).toEqual([]);
  });
});

describe('addresses', () => {
  it('two in one field are a stop', () => {
    expect(marksOf('x', { records: client({ email: 'a@x.example, b@x.example' }) })).toEqual([
      'stop: “a@x.example, b@x.example” (To) is not one email address. Mend it where it is kept, or choose another person.',
    ]);
  });

  it('that no record knows are a query, those of the house are not', () => {
    const head =
      "copy: 'someone@elsewhere.example, imke@larkfield.example'\nreply to: '{{business.email}}'\n";
    expect(marksOf('x', { head })).toEqual([
      'query: A copy goes to someone@elsewhere.example: nobody on record has this address.',
    ]);
  });

  it('nobody can answer a letter from nowhere', () => {
    const records = { business: { name: 'L' }, members: [{ key: 'imke', full_name: 'Imke' }] };
    expect(marksOf('x', { records })[0]).toBe(
      'stop: Imke has no email address to write from. Add one, or the business’s own.',
    );
  });
});

it('whoever asked for no letters gets none', () => {
  const records = client({ no_letters_since: '2026-02-01' });
  expect(marksOf('Hello', { records })).toContain(
    `stop: ${SAMPLE.clients![0]!.name} asked for no letters on 1 February 2026. Where that is no longer so, change it at the client.`,
  );
});

describe('a letter to a partner', () => {
  const head = 'written to: partner\n';
  const partners = [
    { key: 'mover', name: 'Gantry & Rill', given_name: 'Barnaby', email: 'yard@gantry.example' },
    { key: 'keys', name: 'Whitlow Key Makers', email: 'bench@whitlow.example' },
  ];

  it('never goes to the client unasked', () => {
    expect(marksOf('x', { head, from: 'project:p1', records: { partners } })).toEqual([
      'stop: There is nobody to write to. Choose the partner it goes to.',
    ]);
  });

  it('goes to the project’s partner', () => {
    const projects = [{ ...SAMPLE.projects![0]!, partners: ['keys'] }];
    expect(marksOf('x', { head, from: 'project:p1', records: { partners, projects } })).toEqual([]);
  });
});

it('an answer below nothing is a query', () => {
  expect(marksOf('{{? Hours : number}}', { choices: { answers: { Hours: '-3' } } })).toEqual([
    'query: “Hours” is below nothing: -3.',
  ]);
});

describe('how a letter is signed', () => {
  const line = (text: string): TemplateDocument => ({
    type: 'doc',
    content: [{ type: 'paragraph', content: [{ type: 'text', text }] }],
  });
  const teo = { key: 'teo', full_name: 'Teo Marsh', email: 'teo@larkfield.example' };
  const signatures = [
    { key: 'imke', name: 'Imke', member: 'imke', usual: true, document: line('Imke') },
    { key: 'teo', name: 'On the road', member: 'teo', usual: true, document: line('Teo') },
    { key: 'house', name: 'House', usual: true, document: line('Larkfield') },
  ];
  const signed = (body: string, head = '') =>
    marksOf(body, { head, signatures, records: { members: [...SAMPLE.members!, teo] } });

  it('once, by whoever it comes from, is nothing', () => {
    expect(signed('Yours\n\n{{signature}}')).toEqual([]);
    expect(signed('Yours\n\n{{signature}}', 'signature: house\n')).toEqual([]);
  });

  it('with two signatures is a stop, with none a query, unless the head wants none', () => {
    expect(signed('{{signature}}\n\nYours\n\n{{signature}}')).toEqual([
      'stop: This letter is signed twice. Take one of the signatures out.',
    ]);
    expect(signed('Yours')).toEqual(['query: This letter carries no signature.']);
    expect(signed('Yours {{signature}}', 'signature: none\n')).toEqual([]);
  });

  it('by somebody else is a query', () =>
    expect(signed('{{signature}}', 'signature: teo\n')).toEqual([
      'query: It is signed by Teo Marsh and comes from Imke Sandoval.',
    ]));
});
