import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import type { BookingFacts } from '../../core/contract/records/booking';
import type { InvoiceFacts } from '../../core/contract/records/invoice';
import { RECORD_FORMS, type FactsOf } from '../../core/contract/records/recordForms';
import type { FormKind } from '../../core/contract/records/formKinds';
import { shownBooking } from '../../core/contract/records/booking';
import { shownEnquiry } from '../../core/contract/records/enquiry';
import { shownInvoice } from '../../core/contract/records/invoice';
import { shownPartner } from '../../core/contract/records/partner';
import { shownProject } from '../../core/contract/records/project';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { beginRecord } from './beginRecord';
import { formChoices } from './formChoices';
import { keepRecord, makeRecord, recordFacts } from './keepRecord';

demonstrationDatabase();

const facts = async <Kind extends FormKind>(kind: Kind, key: string) =>
  (await recordFacts(imke, kind, key)) as FactsOf[Kind];

const SHOWN = {
  enquiry: shownEnquiry,
  project: shownProject,
  booking: shownBooking,
  invoice: shownInvoice,
  partner: shownPartner,
} as const;

describe.each([
  ['enquiry', 'e1'],
  ['project', 'college-regulation'],
  ['project', 'reyes-restoration'],
  ['booking', 'b-hartigan'],
  ['booking', 'b01'],
  ['invoice', 'LPC-1048'],
  ['invoice', 'LPC-1053'],
  ['invoice', 'LPC-1060'],
  ['partner', 'mover'],
] as [keyof typeof SHOWN, string][])('a form of a record (%s %s)', (kind, key) => {
  it('shows what gives the same facts again, and keeping them changes nothing', async () => {
    const before = await facts(kind, key);
    const { own } = await formChoices(imke);
    const shown = SHOWN[kind](before as never, own);
    const schema = RECORD_FORMS[kind](own);
    const cast: unknown = JSON.parse(
      JSON.stringify(await schema.validate({ ...shown, version: before.version })),
    );
    expect(cast).toEqual(JSON.parse(JSON.stringify(before)));
    // As they cross to the server, nothing is made of them on the way.
    const sent = (await schema.validate(cast, { strict: true })) as FactsOf[typeof kind];
    expect(await keepRecord(imke, kind, key, sent)).toEqual({ result: 'kept', version: before.version + 1 });
    expect(await facts(kind, key)).toEqual({ ...before, version: before.version + 1 });
  });
});

describe('a new record', () => {
  it('asked for twice under one id is one, and has a key of its own', async () => {
    const { facts: begun } = await beginRecord(
      imke,
      'booking',
      { client: 'reyes', at: '2026-07-01T10:00' },
      await formChoices(imke),
    );
    expect(begun).toMatchObject({
      client: 'reyes',
      status: 'confirmed',
      starts_at: '2026-07-01T10:00:00+01:00',
    });
    const asked = { ...begun, service: 'voicing', items: [] };
    const id = randomUUID();
    const [one, two] = await Promise.all([
      makeRecord(imke, 'booking', id, asked),
      makeRecord(imke, 'booking', id, asked),
    ]);
    expect(one).toEqual({ result: 'kept', version: 1, key: 'ada-and-tom-reyes-2026-07-01' });
    expect(two).toEqual(one);
    expect(await makeRecord(imke, 'booking', randomUUID(), asked)).toMatchObject({
      key: 'ada-and-tom-reyes-2026-07-01-2',
    });
  });

  it('from an enquiry has its client, day, service and price, and the enquiry became work', async () => {
    const asked = await facts('enquiry', 'e1');
    await keepRecord(imke, 'enquiry', 'e1', {
      ...asked,
      client: 'hartigan',
      service: 'tuning visit',
      wanted_on: ['2026-07-02'],
      status: 'waiting',
    });
    const begun = await beginRecord(imke, 'booking', { enquiry: 'e1' }, await formChoices(imke));
    expect(begun).toMatchObject({
      enquiry: 'e1',
      parts: { name: 'Oda Hartigan' },
      facts: {
        client: 'hartigan',
        service: 'tuning visit',
        status: 'tentative',
        price: 7800,
        starts_at: '2026-07-02T09:00:00+01:00',
        ends_at: '2026-07-02T10:30:00+01:00',
      },
    });
    await makeRecord(imke, 'booking', randomUUID(), begun.facts, begun.enquiry);
    expect((await facts('enquiry', 'e1')).status).toBe('became work');
  });

  it('an invoice from a visit says what was done, on which day, for its price', async () => {
    const { facts: begun } = await beginRecord(imke, 'invoice', { booking: 'b01' }, await formChoices(imke));
    expect(begun).toMatchObject({
      client: 'hartigan',
      status: 'draft',
      lines: [
        {
          description: expect.stringMatching(/^Tuning visit, \d+ \w+ \d{4}$/) as string,
          unit_price: 7800,
          tax_rate: '20',
        },
      ],
    });
  });

  it('a new invoice is a draft, whatever is asked', async () => {
    const { facts: begun } = await beginRecord(imke, 'invoice', { booking: 'b01' }, await formChoices(imke));
    expect(await makeRecord(imke, 'invoice', randomUUID(), { ...begun, status: 'sent' })).toMatchObject({
      result: 'wrong',
      field: 'status',
    });
  });
});

describe('what is named and is not there, or belongs to another, is told at its field', () => {
  it.each<[string, Partial<BookingFacts>, string]>([
    ['project', { project: 'reyes-restoration' }, 'This is no project of the client.'],
    ['items', { items: ['reyes-grand'] }, 'One of these is no longer the client’s.'],
    ['member', { member: 'nobody' }, 'There is no such member.'],
    ['client', { client: 'reyes' }, 'It stays with its client. Write another down for another client.'],
  ])('%s', async (field, change, error) => {
    const before = await facts('booking', 'b-hartigan');
    expect(await keepRecord(imke, 'booking', 'b-hartigan', { ...before, ...change })).toEqual({
      result: 'wrong',
      field,
      error,
    });
    expect(await facts('booking', 'b-hartigan')).toEqual(before);
  });

  it.each<[string, Partial<InvoiceFacts>]>([
    ['lines', { lines: [{ description: 'Less', unit_price: 1 }] }],
    ['issued_on', { issued_on: '2026-01-01' }],
    ['status', { status: 'draft' }],
  ])('%s of an invoice that was issued', async (field, change) => {
    const before = await facts('invoice', 'LPC-1048');
    expect(await keepRecord(imke, 'invoice', 'LPC-1048', { ...before, ...change })).toMatchObject({
      result: 'wrong',
      field,
    });
  });

  it('its due day and its parts can be changed', async () => {
    const before = await facts('invoice', 'LPC-1048');
    const due_on = '2027-01-01';
    expect(await keepRecord(imke, 'invoice', 'LPC-1048', { ...before, due_on })).toMatchObject({
      result: 'kept',
    });
    expect((await facts('invoice', 'LPC-1048')).due_on).toBe(due_on);
  });
});

it('the later of two writers gets what the earlier one kept', async () => {
  const seen = await facts('project', 'college-regulation');
  await keepRecord(imke, 'project', 'college-regulation', {
    ...seen,
    title: 'Regulation of the concert grand',
  });
  expect(
    await keepRecord(imke, 'project', 'college-regulation', { ...seen, notes: 'Ask the caretaker.' }),
  ).toMatchObject({ result: 'overtaken', now: { title: 'Regulation of the concert grand' } });
  expect(await keepRecord(imke, 'project', 'no-such', seen)).toEqual({ result: 'gone' });
});

describe('what is wrong with what is typed is said at its field', () => {
  it.each<[FormKind, string, object, string]>([
    ['booking', 'b-hartigan', { ends_at: '2020-01-01T10:00:00Z' }, 'ends_at: It ends before it begins.'],
    ['booking', 'b-hartigan', { price: 'a lot' }, 'price: Write a sum, as 96 or 96.00.'],
    ['booking', 'b-hartigan', { price: '-1' }, 'price: A price is not below nothing.'],
    ['booking', 'b-hartigan', { starts_at: 'soon' }, 'starts_at: Write a day and a time.'],
    [
      'project',
      'college-regulation',
      { starts_on: '2026-02-31' },
      'starts_on: This is no date, as 2026-03-31.',
    ],
    ['project', 'college-regulation', { title: ' ' }, 'title: Write what the job is called.'],
    ['invoice', 'LPC-1060', { lines: [] }, 'lines: An invoice has at least one line.'],
    [
      'invoice',
      'LPC-1060',
      { lines: [{ description: 'Keys', unit_price: '6,5' }] },
      'lines[0].unit_price: Write a sum, as 96 or 96.00.',
    ],
    [
      'invoice',
      'LPC-1060',
      { lines: [{ description: 'Keys', unit_price: 650, tax_rate: '120' }] },
      'lines[0].tax_rate: Between 0 and 100.',
    ],
    ['invoice', 'LPC-1060', { due_on: '2020-01-01' }, 'due_on: It is due before it is issued.'],
    [
      'invoice',
      'LPC-1060',
      { instalments: [{ due_on: '2027-01-01', amount: 100 }] },
      'instalments: The parts come to 1.00, the invoice to 405.60.',
    ],
    [
      'enquiry',
      'e1',
      { client: '', name: '', email: '' },
      'name: Write who asks: a name, or an email address.',
    ],
    ['partner', 'mover', { email: 'yard' }, 'email: This is no email address, as ada@house.example.'],
  ])('%s %s %j', async (kind, key, change, words) => {
    const { own } = await formChoices(imke);
    const asked = { ...(await facts(kind, key)), ...change };
    await expect(RECORD_FORMS[kind](own).validate(asked, { abortEarly: false })).rejects.toSatisfy(
      ({ inner }: { inner: { path: string; message: string }[] }) =>
        inner.map(({ path, message }) => `${path}: ${message}`).includes(words),
    );
  });
});
