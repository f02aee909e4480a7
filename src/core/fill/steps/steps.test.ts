import { describe, expect, it } from 'vitest';
import { fillSample, problemsOf, SAMPLE } from '../test/fillSample';

const text = (tag: string, more: Parameters<typeof fillSample>[1] = {}) =>
  fillSample(`{{${tag}}}`, more).text.trimEnd();
const fromBooking = { from: 'booking:b1' } as const;

describe('text', () => {
  it.each([
    ['booking.service', 'tuning visit'],
    ['booking.service | upper', 'TUNING VISIT'],
    ['booking.service | upper | lower', 'tuning visit'],
    ['booking.service | title', 'Tuning Visit'],
    ['booking.service | sentence', 'Tuning visit'],
    ['client.name | initials', 'OH'],
    ['client.items | first 1 | joined | sentence', 'The upright'],
  ])('%s', (tag, expected) => expect(text(tag, fromBooking)).toBe(expected));
});

describe('dates and moments', () => {
  it.each([
    ['booking.starts_at', '3 March 2026'],
    ['booking.starts_at | date', '3 March 2026'],
    ['booking.starts_at | long date', 'Tuesday, 3 March 2026'],
    ['booking.starts_at | short date', '03/03/2026'],
    ['booking.starts_at | weekday', 'Tuesday'],
    ['booking.starts_at | day and month', '3 March'],
    ['booking.starts_at | month', 'March 2026'],
    ['booking.starts_at | time', '09:30'],
    ['booking.starts_at | date and time', '3 March 2026 at 09:30'],
    ['booking.starts_at | from now', 'tomorrow'],
    ['booking.starts_at | iso', '2026-03-03T09:30:00+00:00'],
    ['booking.date | iso', '2026-03-03'],
    ['booking.end_time', '12:00'],
    ['today | plus 3 days', '5 March 2026'],
    ['today | plus 3 working days', '6 March 2026'],
    ['booking.starts_at | minus 2 working days', '27 February 2026'],
    ['today | plus 1 week | weekday', 'Monday'],
    ['today | minus 1 month | short date', '02/02/2026'],
    ['today | plus 2 years | short date', '02/03/2028'],
    ['today | start of month', '1 March 2026'],
    ['booking.starts_at | end of month', '31 March 2026'],
    ['today | next weekday | weekday', 'Tuesday'],
    ['today | next Monday', '9 March 2026'],
    ['booking.starts_at | next Friday | date and time', '6 March 2026 at 09:30'],
    ['booking.starts_at | plus 90 minutes | time', '11:00'],
    // Over the change to summer time: days keep the wall clock, hours are elapsed time.
    ['booking.starts_at | plus 4 weeks | time', '09:30'],
    ['booking.starts_at | plus 672 hours | time', '10:30'],
    ['today | plus 13 days | from now', 'in 13 days'],
    ['today | plus 14 days | from now', 'in 2 weeks'],
    ['today | plus 60 days | from now', 'in 2 months'],
    ['today | plus 23 months | from now', 'in 23 months'],
    ['today | plus 24 months | from now', 'in 2 years'],
    ['invoice.due_on | from now', '4 weeks ago'],
  ])('%s', (tag, expected) => expect(text(tag, fromBooking)).toBe(expected));

  it('follow the business’s clock and zone', () => {
    expect(text('booking.starts_at | time', { ...fromBooking, business: { hour_cycle: 12 } })).toBe(
      '9:30 am',
    );
    expect(
      text('booking.starts_at | time', { ...fromBooking, business: { time_zone: 'Europe/Berlin' } }),
    ).toBe('10:30');
  });

  it('follow the template’s language', () => {
    const german = { ...fromBooking, head: 'language: de\n' };
    expect(text('booking.starts_at | long date', german)).toBe('Dienstag, 3. März 2026');
    expect(text('booking.starts_at | from now', german)).toBe('morgen');
    expect(text('invoice.is_overdue', german)).toBe('ja');
    expect(text('booking.items | joined', german)).toBe('the upright und the grand');
    expect(text('booking.duration', german)).toBe('2 Stunden 30 Minuten');
    expect(text('booking.items | count | words', german)).toBe('zwei');
  });
});

describe('sums and numbers', () => {
  it.each([
    ['invoice.total', '£1,234.50'],
    ['invoice.net', '£1,034.50'],
    ['invoice.tax', '£200.00'],
    ['invoice.balance', '£634.50'],
    ['invoice.balance | money', '£634.50'],
    ['invoice.balance | whole money', '£634.50'],
    ['invoice.paid | whole money', '£600'],
    ['invoice.balance | share 50%', '£317.25'],
    ['invoice.balance | share 33.3%', '£211.29'],
    ['invoice.total | plus 10%', '£1,357.95'],
    ['invoice.total | minus 10%', '£1,111.05'],
    ['invoice.total | plain number', '1234.50'],
    ['invoice.days_overdue', '27'],
    ['invoice.days_overdue | words', '27'],
    ['invoice.lines | count | words', 'two'],
    ['invoice.lines | count | percent', '2%'],
    ['invoice.last_payment', '£600.00'],
    ['invoice.last_paid_on', '1 February 2026'],
    ['invoice.next_instalment.left', '£634.50'],
    ['invoice.next_instalment.due_on | day and month', '1 April'],
    ['client.outstanding', '£730.50'],
    ['booking.duration', '2 hours 30 minutes'],
    ['booking.duration | hours', '2.5 hours'],
    ['project.hours_booked', '2 hours 30 minutes'],
  ])('%s', (tag, expected) => expect(text(tag)).toBe(expected));
});

describe('telephone numbers, addresses, links, images, yes and no', () => {
  it.each([
    ['client.phone', '01632 960101'],
    ['sender.mobile | international', '+44 7700 900144'],
    ['booking.location', '4 Chandlers Row, Saltby, LK2 4QB'],
    ['booking.location | lines', '4 Chandlers Row\nSaltby\nLK2 4QB'],
    ['booking.location | town', 'Saltby'],
    ['booking.location.postcode', 'LK2 4QB'],
    ['booking.location.street', '4 Chandlers Row'],
    ['business.website', 'https://larkfield.example'],
    ['links.review', 'our review page (https://larkfield.example/say)'],
    ['business.links.review | as "our page"', 'our page (https://larkfield.example/say)'],
    ['invoice.pay_link | button "Pay now"', 'Pay now (https://pay.example/k-101?a=1&b=2)'],
    ['business.logo | width 120', 'Larkfield Piano Care'],
    ['invoice.is_overdue', 'yes'],
    ['invoice.is_paid | as "settled" "not settled"', 'not settled'],
  ])('%s', (tag, expected) => expect(text(tag, { from: 'booking:b1' })).toBe(expected));
});

describe('numbers with the words they count', () => {
  it.each([
    ['invoice.days_overdue | counted "day" "days"', '27 days'],
    ['client.invoices | count | counted "invoice" "invoices"', '2 invoices'],
    ['client.invoices | counted "invoice" "invoices"', '2 invoices'],
    ['client.invoices | count | words | counted "invoice" "invoices"', 'two invoices'],
    ['client.invoices | first 1 | counted "invoice" "invoices"', '1 invoice'],
    ['client.invoices | plural "was" "were"', 'were'],
    ['client.invoices | first 1 | plural "was" "were"', 'was'],
    ['client.enquiries | plural "was" "were"', 'were'],
    ['client.enquiries | counted "enquiry" "enquiries"', '0 enquiries'],
    ['invoice.days_overdue | plural "<b>" "<i>"', '<i>'],
  ])('%s', (tag, expected) => expect(text(tag)).toBe(expected));

  it('take as many forms as the language has', () => {
    expect(problemsOf('{{invoice.days_overdue | counted "day"}}')).toEqual([
      't.md:7:1: “counted” takes 2 forms (for one, other) in “en-GB”, and 1 is given.',
    ]);
    const polish = '{{invoice.days_overdue | counted "dzień" "dni" "dni" "dnia"}}';
    expect(fillSample(polish, { head: 'language: pl\n' }).text).toBe('27 dni\n');
  });

  it('are escaped like all words', () => {
    expect(fillSample('{{invoice.days_overdue | plural "<b>" "<i>"}}').html).toContain('&lt;i&gt;');
  });
});

describe('an article by the sound of the word', () => {
  it.each([
    ['tuning visit', 'a tuning visit'],
    ['action repair', 'an action repair'],
    ['humidity check', 'a humidity check'],
    ['hour’s hire', 'an hour’s hire'],
    ['honest look', 'an honest look'],
    ['unison tuning', 'a unison tuning'],
    ['unusual repair', 'an unusual repair'],
    ['unimportant thing', 'an unimportant thing'],
    ['upright piano', 'an upright piano'],
    ['urgent visit', 'an urgent visit'],
    ['urn', 'an urn'],
    ['uranium', 'a uranium'],
    ['European tour', 'a European tour'],
    ['one-off visit', 'a one-off visit'],
    ['oneiric sound', 'an oneiric sound'],
    ['onerous task', 'an onerous task'],
    ['update', 'an update'],
    ['ukulele', 'a ukulele'],
    ['usual visit', 'a usual visit'],
    ['usher', 'an usher'],
    ['ewe', 'a ewe'],
    ['MOT', 'an MOT'],
    ['X-ray', 'an X-ray'],
    ['UV lamp', 'a UV lamp'],
    ['8-day hire', 'an 8-day hire'],
    ['11th visit', 'an 11th visit'],
    ['110-year-old grand', 'a 110-year-old grand'],
    ['18,000 hammers', 'an 18,000 hammers'],
    ['1,800 hammers', 'a 1,800 hammers'],
    ['“action” repair', 'an “action” repair'],
    ['the bass strings', 'the bass strings'],
    ['your piano', 'your piano'],
    ['Ölwechsel', 'an Ölwechsel'],
  ])('%s: %s', (service, expected) => {
    const records = { bookings: [{ ...SAMPLE.bookings![0]!, service }] };
    expect(fillSample('{{booking.service | with article}}', { from: 'booking:b1', records }).text).toBe(
      `${expected}\n`,
    );
  });

  it('is English alone', () => {
    const more = { from: 'booking:b1', head: 'language: de\n' } as const;
    expect(fillSample('{{booking.service | with article}}', more).text).toBe('tuning visit\n');
  });
});

describe('lists', () => {
  it.each([
    ['booking.items', 'the upright and the grand'],
    ['booking.items | joined or', 'the upright or the grand'],
    ['client.invoices | joined', 'K-101 and K-102'],
    ['client.tags', 'school and regular'],
    ['client.invoices | by due_on down | joined', 'K-102 and K-101'],
    ['client.invoices | by balance | joined', 'K-102 and K-101'],
    ['client.items | by custom.year_built | joined', 'the grand and the upright'],
    ['client.items | by custom.year_built down | joined', 'the grand and the upright'],
    ['client.invoices | first 1 | joined', 'K-101'],
    ['client.invoices | last 1 | joined', 'K-102'],
    ['client.invoices | where is_overdue | joined', 'K-101'],
    ['client.invoices | where balance under £100 | count', '1'],
    ['client.invoices | where due_on after today and balance over 90 | joined', 'K-102'],
    ['client.unpaid_invoices | sum balance', '£730.50'],
    ['invoice.lines | joined', 'Regulation and Felt & <glue>'],
    ['invoice.payments | joined', '£600.00'],
    ['client.bookings | where status is "done" | joined | or "no visit yet"', 'no visit yet'],
  ])('%s', (tag, expected) => expect(text(tag)).toBe(expected));

  it('of dates are written as dates', () => {
    expect(text('enquiry.wanted_on | joined or', { from: 'enquiry:e1' })).toBe(
      '9 March 2026 or 10 March 2026',
    );
  });
});

describe('“or” speaks for what is missing', () => {
  it.each([
    ['client.mobile | or "none on file"', 'none on file'],
    ['client.enquiries | joined | or "nothing asked"', 'nothing asked'],
    ['client.enquiries | count | or "none"', '0'],
    ['client.files | count', '0'],
    ['invoice.is_paid | or "unknown"', 'no'],
    ['client.next_booking.service | upper | or "soon"', 'TUNING VISIT'],
  ])('%s', (tag, expected) => expect(text(tag)).toBe(expected));
});

describe('a step or comparison that does not fit is an error', () => {
  it.each([
    ['{{invoice.total | time}}', '“time” does not fit money'],
    ['{{booking.date | time}}', 'A date has no time of day.'],
    ['{{booking.date | plus 2 hours}}', 'A date has no time'],
    ['{{client.name | whole money}}', '“whole money” does not fit text'],
    ['{{client.invoices | sum number}}', 'Only sums and numbers can be added up; “number” is text.'],
    ['{{client.invoices | by numbr}}', 'There is no field or record “numbr”. Did you mean “number”?'],
    ['{{client.tags | by name}}', 'is looked for in records'],
    ['{{invoice.is_paid | as "x"}}', 'yes and no need a text each'],
    ['{{links.review | as "x" "y"}}', 'A link reads as one text'],
    [
      '{{client}}',
      'This is a whole client, which no text can show. Name one of its fields, as “client.greeting_name” or “client.name” or “client.full_name”.',
    ],
    ['{{client.next_booking}}', '“client.next_booking.service” or “client.next_booking.starts_at”'],
    ['{{client | upper}}', 'This is a whole client'],
    [
      '{{client.invoices | where total before today}}',
      '“before” does not fit here: “total” is money, compared by is, is not, over',
    ],
    ['{{client.invoices | where blance over 1}}', 'Did you mean “balance”?'],
    ['{{#when invoice.number over 3}}x{{/when}}', '“over” does not fit here'],
    ['{{#when invoice.number is 3}}x{{/when}}', 'Text is compared with text in quotation marks, as is "3".'],
    ['{{#when invoice.total}}x{{/when}}', '“invoice.total” is money, not yes or no'],
    ['{{#when invoice.total over "much"}}x{{/when}}', '“over” does not fit here'],
    ['{{#when invoice.total over €5.001}}x{{/when}}', 'is no sum in GBP'],
    ['{{#when invoice.due_on is ? "Day"}}x{{/when}}', 'There is no blank “Day” in this template.'],
  ])('%s', (body, message) => expect(problemsOf(body).join('\n')).toContain(message));
});
