import { describe, expect, it } from 'vitest';
import { SAMPLE } from '../../fill/test/fillSample';
import { proofOf, type Given } from '../test/proofOf';

/** Today is Monday 2 March 2026; the visit is Tuesday 3 March at 09:30, invoice K-101 over £1,234.50 was due on 3 February. */
const invoice = (more: object) => ({ invoices: [{ ...SAMPLE.invoices![0]!, ...more }] });
const booking = (more: object) => ({ bookings: [{ ...SAMPLE.bookings![0]!, ...more }] });
const OVER = booking({ starts_at: '2026-02-23T09:30:00Z', ends_at: '2026-02-23T11:00:00Z' });
const VISIT: Given = { from: 'booking:b1' };

function typed(words: string, given: Given = {}): string[] {
  return proofOf('Hello Oda,\n\nwords', { ...given, typed: [['words', words]] }).map(
    ({ message }) => message,
  );
}

describe('a weekday', () => {
  it.each([
    ['Wednesday, 4 March', undefined],
    ['Tuesday 3 March 2026', undefined],
    ['Tuesday, 3rd of March', undefined],
    ['Tue 3 March', undefined],
    ['Friday, March 13', undefined],
    ['13 March (Friday)', undefined],
    ['Monday, 2026-03-09', undefined],
    ['Monday 9/3/2026', undefined],
    ['on Monday. 3 March is free', undefined],
    ['Monday to Friday, 3 of us', undefined],
    ['Tuesday, 31 February', undefined],
    ['Tuesday, 4 March', 'Wednesday'],
    ['Monday 3 March 2026', 'Tuesday'],
    ['Thursday, 3rd of March', 'Tuesday'],
    ['Thu 3 March', 'Tue'],
    ['Monday, March 13', 'Friday'],
    ['13 March (Thursday)', 'Friday'],
    ['Tuesday, 2026-03-09', 'Monday'],
    ['Sunday 9/3/2026', 'Monday'],
    // In December the next January is meant.
    ['Thursday, 1 January', undefined],
  ])('“%s”: %s', (words, right) => {
    const marks = proofOf('words', { from: 'client:c1', typed: [['words', `We come on ${words}.`]] });
    const cures = marks.filter(({ id }) => id.startsWith('weekday')).map(({ cure }) => cure?.words);
    expect(cures).toEqual(right ? [`Write “${right}”`] : []);
  });

  it.each([
    ['de', 'Dienstag, den 3. März', undefined],
    ['de', 'Mittwoch, den 3. März 2026', 'Dienstag'],
    ['de', 'Mi., 3.3.2026', 'Di'],
    ['fr', 'mardi 3 mars', undefined],
    ['fr', 'mercredi le 3 mars', 'mardi'],
  ])('in %s: “%s”: %s', (language, words, right) => {
    const head = `language: ${language}\n`;
    const marks = proofOf('words', { from: 'client:c1', head, typed: [['words', words]] });
    const cures = marks.filter(({ id }) => id.startsWith('weekday')).map(({ cure }) => cure?.words);
    expect(cures).toEqual(right ? [`Write “${right}”`] : []);
  });

  it('before a field that says another day', () => {
    const body = 'On Monday, {{booking.starts_at | day and month}} we come.';
    expect(proofOf(body, VISIT).map(({ message }) => message)).toEqual([
      '“Monday, 3 March”: 3 March 2026 is a Tuesday.',
    ]);
  });
});

describe('a sum or a day that is near a fact and not it', () => {
  it.each([
    ['You owe £1,243.50.', '“£1,243.50” is near the total of invoice K-101, £1,234.50, and is not it.'],
    ['You owe £1,230.', '“£1,230” is near the total of invoice K-101, £1,234.50, and is not it.'],
    ['It costs £79.', '“£79” is near the price of the visit, £78.00, and is not it.'],
    ['We come on 4 March.', '“4 March” is near the day of the visit, Tuesday, 3 March 2026, and is not it.'],
    [
      'It was due on 5 February.',
      '“5 February” is near the day the invoice is due, Tuesday, 3 February 2026, and is not it.',
    ],
    [
      'It is of 21 January 2026.',
      '“21 January 2026” is near the day of the invoice, Tuesday, 20 January 2026, and is not it.',
    ],
  ])('“%s”', (words, message) => expect(typed(words)).toEqual([message]));

  it.each([
    'You owe £1,234.50.',
    'It costs £78.',
    'A new string costs £12.',
    'We come on 3 March.',
    'We come again on 20 March.',
    'It is 2 March today.',
    'There are 1,230 strings.',
    'It was due on 3/2/2026.',
  ])('“%s” is none', (words) => expect(typed(words)).toEqual([]));

  it('is none where the template itself says it', () => {
    expect(proofOf('Anything over £1,230 is dear, as of 4 March.')).toEqual([]);
  });

  it('is put right with the fact, in the form of the letter', () => {
    const [mark] = proofOf('words', { typed: [['words', 'owe £1,243.50 now']] });
    expect(mark).toMatchObject({ at: { line: 1, from: 4, to: 13 }, cure: { put: '£1,234.50' } });
  });
});

describe('one thing that is said in two ways', () => {
  const body =
    'On {{booking.starts_at | date}}. Until {{booking.starts_at | weekday}}, {{client.name}} and {{client.name}}.';
  it('a day that was changed in one place only is a query', () => {
    const marks = proofOf(body, { ...VISIT, typed: [['3 March 2026', '10 March 2026']] });
    expect(marks.map(({ message }) => message)).toEqual([
      '“10 March 2026” stands here, and elsewhere “Tuesday” for the same day.',
    ]);
    expect(marks[0]!.cure).toEqual({ words: 'Write “3 March 2026”', put: '3 March 2026' });
  });
  it('a sum, too', () => {
    const sums = '{{invoice.total}} is the sum. Pay {{invoice.total}}.';
    expect(proofOf(sums, { typed: [['£1,234.50', '£1,200.00']] }).map(({ id }) => id)).toContain(
      'two for one invoice.total £1,200.00',
    );
  });
  it.each([
    [
      'changed in both places',
      [
        ['3 March 2026', '10 March 2026'],
        ['Tuesday', 'then'],
      ],
    ],
    ['a name', [['Oda Hartigan', 'Oda']]],
    ['taken out', [['3 March 2026', '']]],
  ] as const)('%s is none', (_, changes) => {
    expect(proofOf(body, { ...VISIT, typed: changes }).filter(({ id }) => id.startsWith('two'))).toEqual([]);
  });
});

describe('a reminder', () => {
  const PAID = invoice({ payments: [{ amount: 123450 }] });
  const OPEN = invoice({ due_on: '2026-03-20' });
  it.each([
    ['Invoice {{invoice.number}} is overdue.', PAID, '“overdue”: invoice K-101 is paid.'],
    ['This is a reminder of {{invoice.number}}.', PAID, '“reminder”: invoice K-101 is paid.'],
    ['Invoice {{invoice.number}} is still open.', PAID, '“is still open”: invoice K-101 is paid.'],
    ['It has not reached us.', PAID, '“has not reached us”: invoice K-101 is paid.'],
    ['Invoice {{invoice.number}} is overdue.', OPEN, '“overdue”: invoice K-101 is not due before 20 March.'],
    [
      'A friendly reminder: {{invoice.number}}',
      OPEN,
      '“reminder”: invoice K-101 is not due before 20 March.',
    ],
    ['It was due.', OPEN, '“was due”: invoice K-101 is not due before 20 March.'],
    [
      'It is overdue.',
      invoice({ payments: [{ amount: 200000 }] }),
      '“overdue”: invoice K-101 owes something to the client.',
    ],
  ])('%s', (body, records, message) =>
    expect(proofOf(body, { records }).map((mark) => mark.message)).toEqual([message]),
  );

  it.each([
    ['of what is overdue', 'It is overdue.', {}],
    ['that is none', 'Thank you for paying so soon.', PAID],
    ['of what is open', 'It is due soon.', OPEN],
    ['of a void one, which is told otherwise', 'x', invoice({ status: 'void' })],
  ])('%s is none', (_, body, records) =>
    expect(proofOf(body, { records }).filter(({ id }) => id.startsWith('reminder'))).toEqual([]),
  );

  it('in German', () => {
    const head = 'language: de\n';
    const records = { ...PAID, clients: [{ ...SAMPLE.clients![0]!, language: 'de' }] };
    expect(
      proofOf('Ihre Zahlung ist noch nicht eingegangen.', { head, records }).map(({ id }) => id),
    ).toEqual(['reminder K-101 paid']);
  });

  it('of what is paid is told once, not as the wrong moment, too', () => {
    const head = 'fits when: invoice.is_overdue\n';
    expect(proofOf('It is overdue.', { head, records: PAID }).map(({ id }) => id)).toEqual([
      'reminder K-101 paid',
    ]);
  });
});

describe('a visit that is over', () => {
  const said = (body: string, records: object = OVER, more: Given = {}) =>
    proofOf(body, { ...VISIT, records, ...more }).map(({ message }) => message);

  it.each([
    'We look forward to {{booking.starts_at | date}}.',
    'We come on {{booking.starts_at | date}}.',
    'See you on {{booking.starts_at | weekday}}.',
    'This is to confirm your visit on {{booking.starts_at | date}}.',
    'Please leave the key on {{booking.starts_at | date}}.',
    'We will be there at {{booking.starts_at | time}}.',
  ])('“%s” is a query', (body) =>
    expect(said(body)).toEqual([
      'The tuning visit, Monday 23 February at 09:30, is over, and the letter speaks of it as coming.',
    ]),
  );

  it.each([
    'Thank you for having us on {{booking.starts_at | date}}.',
    'We were with you on {{booking.starts_at | date}}.',
    'Since {{booking.starts_at | date}} it will be well.',
    'The {{booking.service}} is done.',
  ])('“%s” is none', (body) => expect(said(body)).toEqual([]));

  it('nor is one that is to come, or cancelled, which is told otherwise', () => {
    expect(said('We come on {{booking.starts_at | date}}.', {})).toEqual([]);
    const cancelled = booking({ ...OVER.bookings[0], status: 'cancelled' });
    expect(said('We come on {{booking.starts_at | date}}.', cancelled).join()).not.toContain('is over');
  });

  it.each([
    ['We come on 12 February.', true],
    ['See you on Monday, 23 February.', true],
    ['We came on 12 February.', false],
    ['We come on 12 April.', false],
    ['12 February was cold.', false],
  ])('a day typed by hand: “%s”', (words, isQuery) => {
    const ids = proofOf('words', { from: 'client:c1', typed: [['words', words]] }).map(({ id }) => id);
    expect(ids.some((id) => id.startsWith('past day'))).toBe(isQuery);
  });
});
