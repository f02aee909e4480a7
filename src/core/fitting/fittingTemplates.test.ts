import { describe, expect, it } from 'vitest';
import { readMoment } from '../dates/zone';
import { RecordBook } from '../records/recordBook';
import type { InvoiceData, RecordsFile } from '../records/recordsFile';
import { schemaOf } from '../records/schema';
import { situationFrom, type StartingPoint } from '../records/which/situation';
import { readTemplate } from '../template/text/readTemplate';
import { fittingTemplates, type PastLetter } from './fittingTemplates';
import { formatsOf } from '../fill/formats/formatsOf';
import { momentOf } from './momentOf';
import { notOffered } from './notOffered';
import { speaksOf } from './speaksOf';

const template = (name: string, startsFrom: string, body: string, more = '') => ({
  ...readTemplate(
    `---\nname: ${name}\ngroup: G\nstarts from: ${startsFrom}\nsubject: S\n${more}---\n${body}\n`,
    't.md',
  ).value!,
  key: name.toLowerCase().replaceAll(' ', '-'),
  version: 1,
});

const TEMPLATES = [
  template('Note', 'client', 'hello'),
  template('Enclosed', 'invoice', 'here it is', 'attach: [invoice pdf]\n'),
  template('Reminder', 'invoice', '{{invoice.days_overdue}} days over'),
  template('Thanks for paying', 'invoice', 'it came on {{invoice.last_paid_on}}'),
  template('Tomorrow', 'booking', 'we come {{booking.starts_at | from now}}'),
  template('Confirmed', 'booking', 'on {{booking.starts_at | date}}'),
  template('How was it', 'booking', 'was it good?'),
  template('Answer', 'enquiry', 'thank you'),
  template('Resting', 'invoice', 'x', 'resting: yes\n'),
];

const invoice = (key: string, due_on: string, more: Partial<InvoiceData> = {}): InvoiceData => ({
  key,
  number: key,
  client: 'c1',
  status: 'sent',
  issued_on: '2026-10-01',
  due_on,
  lines: [{ unit_price: 10_000 }],
  ...more,
});
const booking = (key: string, starts_at: string) => ({
  key,
  client: 'c1',
  service: 'tuning',
  status: 'confirmed',
  starts_at,
});

const RECORDS: RecordsFile = {
  business: {},
  clients: [{ key: 'c1', name: 'Oda Hartigan' }],
  enquiries: [{ key: 'e1', name: 'Bram', status: 'waiting' }],
  bookings: [
    booking('past', '2026-11-20T10:00:00Z'),
    booking('soon', '2026-11-26T10:00:00Z'),
    booking('later', '2026-12-20T10:00:00Z'),
  ],
  invoices: [
    invoice('open', '2026-12-10'),
    invoice('late', '2026-11-24'),
    invoice('paid', '2026-11-01', { payments: [{ amount: 10_000, paid_on: '2026-11-03' }] }),
    invoice('draft', '2026-12-10', { status: 'draft' }),
  ],
};

function situationOf(start: StartingPoint, business: RecordsFile['business'] = {}) {
  const book = new RecordBook({ ...RECORDS, business }, readMoment('2026-11-25T09:00:00Z')!);
  return situationFrom(book, start, { sender: { key: 'imke' } })!;
}

function fits(start: StartingPoint, letters: PastLetter[] = []) {
  const situation = situationOf(start);
  const { fitting, others } = fittingTemplates(TEMPLATES, situation, letters, schemaOf(RECORDS));
  return { fitting: fitting.map(({ key, reason }) => `${key}: ${reason}`), others: [...others.values()] };
}

const from = (kind: StartingPoint['kind'], key: string) => ({ kind, key });

describe('the moment of a template is read from its own words', () => {
  it('say that days are taken where they are, and not where one is free', () => {
    const answers = [
      template('Thanks', 'enquiry', 'thank you', 'action: enquiry answered, first\n'),
      template('Taken', 'enquiry', 'it is taken', 'action: enquiry day taken, first\n'),
    ];
    const found = (daysTaken?: boolean) => {
      const situation = situationFrom(new RecordBook(RECORDS, 0), from('enquiry', 'e1'), {
        sender: { key: 'm' },
      })!;
      const known = { ...situation, ...(daysTaken === undefined ? {} : { daysTaken }) };
      const { fitting, others } = fittingTemplates(answers, known, [], schemaOf(RECORDS));
      return [fitting.map(({ key }) => key), [...others.values()]];
    };
    expect(found()).toEqual([['thanks', 'taken'], []]);
    expect(found(true)).toEqual([['taken', 'thanks'], []]);
    expect(found(false)).toEqual([['thanks'], [{ key: 'taken', reason: 'A day asked for is free' }]]);
  });

  it('what is always said counts, what an only-when says does not', () => {
    const guarded = template('G', 'invoice', '{{#when invoice.is_overdue}}{{invoice.days_overdue}}{{/when}}');
    expect(speaksOf(guarded).overdue).toBe(false);
    expect(speaksOf(TEMPLATES[2]!).overdue).toBe(true);
    expect(speaksOf(TEMPLATES[4]!)).toMatchObject({ soon: true, visit: true });
    expect(speaksOf(TEMPLATES[5]!)).toMatchObject({ soon: false, visit: true });
  });

  it('a day counted from a visit onwards is for after it, hours before it are not', () => {
    const yearOn = template('Y', 'booking', '{{booking.starts_at | plus 12 months | month}}');
    expect(speaksOf(yearOn)).toMatchObject({ visit: false, after: true });
    const end = template('E', 'booking', '{{booking.starts_at | plus 2 hours | time}}');
    expect(speaksOf(end)).toMatchObject({ visit: true, after: false });
    const apt = (key: string) => {
      const book = new RecordBook(RECORDS, readMoment('2026-11-25T09:00:00Z')!);
      const situation = situationFrom(book, from('booking', key), { sender: { key: 'imke' } })!;
      return momentOf(speaksOf(yearOn), situation, formatsOf(book));
    };
    expect(apt('soon')).toEqual({ apt: -1, reason: 'The visit is still to come' });
    expect(apt('past').apt).toBe(1);
  });
});

describe('templates that fit', () => {
  it('an overdue invoice: the one that counts the days', () =>
    expect(fits(from('invoice', 'late')).fitting).toEqual(['reminder: 1 day overdue', 'enclosed: ']));

  it('an open one: the one that encloses it', () =>
    expect(fits(from('invoice', 'open')).fitting).toEqual(['enclosed: It is not due yet']));

  it('a paid one: the one that thanks', () =>
    expect(fits(from('invoice', 'paid')).fitting).toEqual(['thanks-for-paying: Paid on 3 November']));

  it('a draft: none, and each says why not', () => {
    const { fitting, others } = fits(from('invoice', 'draft'));
    expect(fitting).toEqual([]);
    expect(others.find(({ key }) => key === 'enclosed')?.reason).toBe('It is still a draft');
  });

  it('a visit by the time there is to it', () => {
    expect(fits(from('booking', 'soon')).fitting).toEqual([
      'tomorrow: The visit is tomorrow',
      'confirmed: The visit is tomorrow',
      'how-was-it: ',
    ]);
    expect(fits(from('booking', 'later')).fitting[0]).toBe('confirmed: The visit is in 4 weeks');
    expect(fits(from('booking', 'past')).fitting).toEqual(['how-was-it: The visit was 5 days ago']);
  });

  it('what cannot be filled from here is not offered, nor what rests', () => {
    expect(fits(from('client', 'c1')).others.map(({ key }) => key)).not.toContain('answer');
    expect(fits(from('enquiry', 'e1')).fitting).toEqual(['answer: ']);
    expect(fits(from('enquiry', 'e1')).others.map(({ key }) => key)).toEqual(['note']);
    expect(JSON.stringify(fits(from('invoice', 'late')))).not.toContain('resting');
  });

  it('what is not offered says why', () => {
    const why = (start: StartingPoint, business: RecordsFile['business'] = {}) => {
      const situation = situationOf(start, business);
      return Object.fromEntries(
        TEMPLATES.flatMap(({ key, head }) => {
          const words = notOffered(head, situation);
          return words === undefined ? [] : [[key, words]];
        }),
      );
    };
    expect(why(from('enquiry', 'e1'))).toMatchObject({
      reminder: 'It starts from an invoice, and there is none here',
      confirmed: 'It starts from a visit, and there is none here',
      resting: 'It is resting',
    });
    expect(why(from('enquiry', 'e1'), { booking_label: 'appointment' })).toMatchObject({
      confirmed: 'It starts from an appointment, and there is none here',
    });
    expect(why(from('invoice', 'late'))).toEqual({
      answer: 'It starts from an enquiry, and there is none here',
      resting: 'It is resting',
    });
  });

  it('what the member has used comes before what they have not', () => {
    const used = {
      template: 'how-was-it',
      about: from('booking', 'x'),
      at: '2026-09-01T09:00:00Z',
      member: 'imke',
    };
    expect(fits(from('booking', 'soon'), [used, used]).fitting.slice(1)).toEqual([
      'how-was-it: You have used it twice',
      'confirmed: The visit is tomorrow',
    ]);
    expect(fits(from('booking', 'soon'), [{ ...used, member: 'teo' }]).fitting[1]).toContain('confirmed');
  });

  it('what was sent for this record stands further down, and says when', () => {
    const sent = (at: string) => ({ template: 'reminder', about: from('invoice', 'late'), at });
    expect(fits(from('invoice', 'late'), [sent('2026-11-10T09:00:00Z')]).fitting).toEqual([
      'reminder: 1 day overdue, sent on 10 November',
      'enclosed: ',
    ]);
    expect(fits(from('invoice', 'late'), [sent('2026-11-24T09:00:00Z')]).fitting).toEqual([
      'enclosed: ',
      'reminder: 1 day overdue, sent on 24 November',
    ]);
  });
});
