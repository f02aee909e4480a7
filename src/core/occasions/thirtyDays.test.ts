import { describe, expect, it } from 'vitest';
import { isoOf, readDay } from '../dates/civil';
import type { PastLetter } from '../fitting/fittingTemplates';
import type { RecordsFile } from '../records/recordsFile';
import type { KeptTemplate } from '../template/template';
import { readTemplate } from '../template/text/readTemplate';
import { WritingDesk } from '../writing/writingDesk';
import { occasionId } from './occasion';
import { occasionsOf } from './occasionsOf';
import { templateFor } from './templateFor';

const template = (key: string, startsFrom: string, action: string, fitsWhen = ''): KeptTemplate => ({
  ...readTemplate(
    `---\nname: ${key}\ngroup: G\nstarts from: ${startsFrom}\nsubject: S\n${fitsWhen && `fits when: ${fitsWhen}\n`}action: ${action}\n---\nx\n`,
    't.md',
  ).value!,
  key,
  version: 1,
});

const TEMPLATES = [
  template('answer', 'enquiry', 'enquiry answered, first'),
  template('confirm', 'booking', 'visit confirmed, first', 'booking.is_past is no'),
  template('ahead', 'booking', 'visit ahead, first', 'booking.is_past is no'),
  template('sent', 'invoice', 'invoice sent, first', 'invoice.state is "open"'),
  template('first', 'invoice', 'invoice overdue, first', 'invoice.is_overdue'),
  template('second', 'invoice', 'invoice overdue', 'invoice.days_overdue at least 14'),
  template('last', 'invoice', 'invoice overdue', 'invoice.days_overdue at least 40'),
  template('plan', 'invoice', 'instalment due, first', 'invoice.instalments | count over 0'),
  template('thanks', 'invoice', 'payment received, first', 'invoice.paid over 0'),
  template('finished', 'project', 'job finished, first', 'project.status is "finished"'),
];

/** A month of a small business: 2 November 2026 is a Monday. */
const RECORDS: RecordsFile = {
  business: { name: 'Larkfield Piano Care' },
  members: [{ key: 'imke', full_name: 'Imke Sandoval', email: 'imke@larkfield.example' }],
  clients: ['oda', 'tom', 'ada', 'wren', 'hale', 'bram'].map((key) => ({
    key,
    name: key,
    email: `${key}@x.example`,
  })),
  enquiries: [
    {
      key: 'e1',
      name: 'Quill',
      email: 'q@x.example',
      status: 'waiting',
      received_at: '2026-11-02T10:00:00Z',
    },
  ],
  projects: [{ key: 'p1', client: 'hale', title: 'new strings', status: 'finished', ends_on: '2026-11-03' }],
  bookings: [
    booking('wed', 'oda', '2026-11-04T09:30:00Z', 'confirmed'),
    booking('mon', 'tom', '2026-11-16T09:30:00Z', 'confirmed'),
    booking('maybe', 'ada', '2026-11-20T14:00:00Z', 'tentative'),
    booking('off', 'bram', '2026-11-10T14:00:00Z', 'cancelled'),
  ],
  invoices: [
    invoice('new', 'oda', '2026-11-02', '2026-12-10'),
    invoice('late', 'tom', '2026-10-01', '2026-10-30'),
    invoice('very-late', 'wren', '2026-08-01', '2026-09-20'),
    {
      ...invoice('parts', 'ada', '2026-09-01', '2026-12-20'),
      instalments: [
        { due_on: '2026-11-20', amount: 5000 },
        { due_on: '2026-12-20', amount: 5000 },
      ],
    },
    { ...invoice('credit', 'hale', '2026-10-01', '2026-10-05'), lines: [{ unit_price: -5000 }] },
    invoice('draft', 'hale', '2026-10-01', '2026-10-05', 'draft'),
    invoice('void', 'hale', '2026-10-01', '2026-10-05', 'void'),
  ],
};

/** What happens meanwhile: payments come in on these days. */
const PAID: Record<string, { day: string; amount: number }> = {
  late: { day: '2026-11-18', amount: 10_000 },
};

/** What a person would expect to be offered each morning, written before the rules were run. */
const EXPECTED: Record<string, string[]> = {
  '2026-11-02': ['very-late: first', 'e1: answer', 'new: sent'],
  '2026-11-03': ['wed: ahead'],
  '2026-11-06': ['late: first', 'maybe: confirm'],
  '2026-11-09': ['very-late: second'],
  '2026-11-10': ['p1: finished'],
  '2026-11-13': ['late: second', 'mon: ahead'],
  '2026-11-15': ['parts: plan'],
  '2026-11-16': ['very-late: last'],
  '2026-11-18': ['late: thanks'],
  '2026-11-19': ['maybe: ahead'],
};

function booking(key: string, client: string, starts_at: string, status: string) {
  return { key, client, service: 'tuning visit', status, starts_at };
}

function invoice(key: string, client: string, issued_on: string, due_on: string, status = 'sent') {
  return { key, number: key, client, issued_on, due_on, status, lines: [{ unit_price: 10_000 }] };
}

/** The business as it stands on a day. */
function recordsOn(day: string): RecordsFile {
  return {
    ...RECORDS,
    invoices: RECORDS.invoices!.map((one) => {
      const paid = PAID[one.key];
      return paid && paid.day <= day
        ? { ...one, payments: [{ paid_on: paid.day, amount: paid.amount }] }
        : one;
    }),
  };
}

interface Offer {
  offered: string;
  id: string;
  letter: PastLetter;
}

function offersOn(day: string, hour: string, letters: readonly PastLetter[]): Offer[] {
  const now = Date.parse(`${day}T${hour}:00:00Z`);
  const desk = new WritingDesk({
    records: recordsOn(day),
    now,
    templates: TEMPLATES,
    passages: [],
    signatures: [],
    member: 'imke',
  });
  return occasionsOf(desk.book, letters).flatMap((occasion) => {
    const key = templateFor(occasion, desk, letters);
    if (key === 'done') return [];
    const letter = { template: key!, about: occasion.start, at: new Date(now).toISOString() };
    return [{ offered: `${occasion.start.key}: ${key}`, id: occasionId(occasion), letter }];
  });
}

const DAYS = Array.from({ length: 30 }, (_, i) => isoOf(readDay('2026-11-02')! + i));

describe('thirty days in which somebody sends what is offered', () => {
  const letters: PastLetter[] = [];
  const seen: Record<string, string[]> = {};
  const evenings: string[] = [];
  for (const day of DAYS) {
    const morning = offersOn(day, '08', letters);
    if (morning.length) seen[day] = morning.map(({ offered }) => offered).sort();
    letters.push(...morning.map(({ letter }) => letter));
    evenings.push(...offersOn(day, '18', letters).map(({ offered }) => `${day} ${offered}`));
  }

  it('offers each morning what a person would expect', () => {
    const expected = Object.fromEntries(Object.entries(EXPECTED).map(([day, all]) => [day, [...all].sort()]));
    expect(seen).toEqual(expected);
  });

  it('is empty each evening', () => expect(evenings).toEqual([]));

  it('sends each letter once', () => {
    const sent = letters.map(({ about, template: key }) => `${about.kind}:${about.key} ${key}`);
    expect(new Set(sent).size).toBe(sent.length);
  });

  it('keeps the spacing between reminders of one invoice', () => {
    for (const key of ['late', 'very-late']) {
      const days = letters
        .filter(({ about, template: of }) => about.key === key && of !== 'thanks')
        .map(({ at }) => readDay(at.slice(0, 10))!);
      expect(days.length).toBeGreaterThan(1);
      for (let i = 1; i < days.length; i++) expect(days[i]! - days[i - 1]!).toBeGreaterThanOrEqual(7);
    }
  });
});

describe('an occasion', () => {
  it('is worth a letter whoever sent the last, from whatever template', () => {
    const written = {
      template: 'something else',
      about: { kind: 'booking' as const, key: 'wed' },
      at: '2026-11-03T08:00:00Z',
    };
    expect(offersOn('2026-11-03', '09', []).map(({ offered }) => offered)).toContain('wed: ahead');
    expect(offersOn('2026-11-03', '09', [written]).map(({ offered }) => offered)).not.toContain('wed: ahead');
  });

  it('has a name that lasts as long as it does', () => {
    const named = (day: string) =>
      offersOn(day, '09', []).find(({ offered }) => offered.startsWith('late'))?.id;
    expect(named('2026-11-06')).toBe(named('2026-11-12'));
    expect(named('2026-11-06')).toBe(`invoice overdue invoice:late ${readDay('2026-10-30')}`);
  });

  it('no reminder comes in the first days, when the payment may be on its way', () => {
    expect(offersOn('2026-11-05', '09', []).map(({ offered }) => offered)).not.toContain('late: first');
  });
});
