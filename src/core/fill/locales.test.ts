import { describe, expect, it } from 'vitest';
import { fillSample, SAMPLE } from './test/fillSample';

const LOCALES = ['en-GB', 'en-US', 'de-DE', 'fr-FR'] as const;
type Written = readonly [tag: string, ...inEach: readonly [string, string, string, string]];

const INVOICE: readonly Written[] = [
  // Dates
  ['invoice.due_on', '3 February 2026', 'February 3, 2026', '3. Februar 2026', '3 février 2026'],
  [
    'invoice.due_on | long date',
    'Tuesday, 3 February 2026',
    'Tuesday, February 3, 2026',
    'Dienstag, 3. Februar 2026',
    'mardi 3 février 2026',
  ],
  ['invoice.due_on | short date', '03/02/2026', '2/3/2026', '3.2.2026', '03/02/2026'],
  ['invoice.due_on | weekday', 'Tuesday', 'Tuesday', 'Dienstag', 'mardi'],
  ['invoice.due_on | day and month', '3 February', 'February 3', '3. Februar', '3 février'],
  ['invoice.due_on | month', 'February 2026', 'February 2026', 'Februar 2026', 'février 2026'],
  ['invoice.due_on | iso', '2026-02-03', '2026-02-03', '2026-02-03', '2026-02-03'],
  ['invoice.due_on | from now', '4 weeks ago', '4 weeks ago', 'vor 4 Wochen', 'il y a 4 semaines'],
  ['today | from now', 'today', 'today', 'heute', 'aujourd’hui'],
  ['today | plus 1 day | from now', 'tomorrow', 'tomorrow', 'morgen', 'demain'],
  ['today | plus 3 days | from now', 'in 3 days', 'in 3 days', 'in 3 Tagen', 'dans 3 jours'],
  // Sums and numbers
  ['invoice.total', '£1,234.50', '£1,234.50', '1.234,50 £', '1 234,50 £GB'],
  ['invoice.paid | whole money', '£600', '£600', '600 £', '600 £GB'],
  ['invoice.balance | share 50%', '£317.25', '£317.25', '317,25 £', '317,25 £GB'],
  ['invoice.total | plain number', '1234.50', '1234.50', '1234,50', '1234,50'],
  ['invoice.days_overdue', '27', '27', '27', '27'],
  ['invoice.lines | count | words', 'two', 'two', 'zwei', 'deux'],
  ['invoice.is_overdue', 'yes', 'yes', 'ja', 'oui'],
  // Lists
  [
    'invoice.lines | joined',
    'Regulation and Felt & <glue>',
    'Regulation and Felt & <glue>',
    'Regulation und Felt & <glue>',
    'Regulation et Felt & <glue>',
  ],
  [
    'invoice.lines | joined or',
    'Regulation or Felt & <glue>',
    'Regulation or Felt & <glue>',
    'Regulation oder Felt & <glue>',
    'Regulation ou Felt & <glue>',
  ],
];

const BOOKING: readonly Written[] = [
  ['booking.starts_at', '3 March 2026', 'March 3, 2026', '3. März 2026', '3 mars 2026'],
  ['booking.starts_at | time', '09:30', '09:30', '09:30', '09:30'],
  [
    'booking.starts_at | date and time',
    '3 March 2026 at 09:30',
    'March 3, 2026 at 09:30',
    '3. März 2026 um 09:30',
    '3 mars 2026 à 09:30',
  ],
  ['booking.end_time', '12:00', '12:00', '12:00', '12:00'],
  [
    'booking.duration',
    '2 hours 30 minutes',
    '2 hours 30 minutes',
    '2 Stunden 30 Minuten',
    '2 heures 30 minutes',
  ],
  ['booking.duration | hours', '2.5 hours', '2.5 hours', '2,5 Stunden', '2,5 heures'],
];

/** The platform's data sets narrow and wide spaces apart; a reader does not. */
const spaced = (text: string) => text.trim().replace(/[\u00a0\u202f]/g, ' ');

describe.each(LOCALES)('in %s', (locale) => {
  const column = LOCALES.indexOf(locale) + 1;

  it.each(INVOICE)('%s', (...written) => {
    expect(spaced(fillSample(`{{${written[0]}}}`, { business: { locale } }).text)).toBe(written[column]);
  });

  it.each(BOOKING)('%s', (...written) => {
    const { text } = fillSample(`{{${written[0]}}}`, { from: 'booking:b1', business: { locale } });
    expect(spaced(text)).toBe(written[column]);
  });

  it('the template’s own language comes before the business’s', () => {
    const head = `language: ${locale}\n`;
    const { text } = fillSample('{{invoice.due_on | long date}}', { head, business: { locale: 'sv-SE' } });
    expect(spaced(text)).toBe(INVOICE[1]![column]);
  });
});

describe('what the business’s own country decides, not the letter’s language', () => {
  it('a telephone number without + is one of the business’s country', () => {
    const business = { locale: 'en-GB', phone: '01632 960144' };
    for (const language of LOCALES) {
      const filled = fillSample('{{business.phone | international}}', {
        head: `language: ${language}\n`,
        business,
      });
      expect(filled.text).toBe('+44 1632 960144\n');
    }
  });

  it('an address follows its own country’s order, and the country is named where it is another', () => {
    const location = { street: ['Am Speicher 8'], town: 'Wiekhafen', postcode: '26999', country: 'DE' };
    const at = (locale: string) =>
      fillSample('{{business.address | one line}}', { business: { locale, address: location } }).text.trim();
    expect([at('en-GB'), at('fr-FR'), at('de-DE')]).toEqual([
      'Am Speicher 8, 26999 Wiekhafen, Germany',
      'Am Speicher 8, 26999 Wiekhafen, Allemagne',
      'Am Speicher 8, 26999 Wiekhafen',
    ]);
  });

  it('a clock of twelve hours is the business’s choice', () => {
    const more = { from: 'booking:b1', business: { hour_cycle: 12 } } as const;
    expect(spaced(fillSample('{{booking.starts_at | time}}', more).text).toLowerCase()).toBe('9:30 am');
  });

  it('a currency without minor units has none', () => {
    const business = { currency: 'JPY' };
    expect(spaced(fillSample('{{invoice.total}}', { business }).text)).toBe('JP¥123,450');
    expect(SAMPLE.business.currency).toBeUndefined();
  });
});

describe('a language written from right to left', () => {
  it('says so in the HTML, by its script', () => {
    const written = (language: string) => fillSample('x', { head: `language: ${language}\n` }).html;
    for (const language of ['ar', 'he', 'fa', 'ur', 'ar-EG', 'pa-Arab'])
      expect(written(language), language).toMatch(/^<div dir="rtl"><p/);
    for (const language of ['en-GB', 'de', 'pa', 'ja']) expect(written(language), language).toMatch(/^<p/);
  });
});
