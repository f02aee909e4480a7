import { describe, expect, it } from 'vitest';
import { dayOf } from '../dates/civil';
import { enquiryIn } from './enquiryIn';

const on = (year: number, month: number, day: number) => dayOf({ year, month, day });
const TODAY = on(2026, 11, 25);
const asked = (text: string, name = '', locale = 'en-GB') =>
  enquiryIn(
    { from: { name, address: 'bram@tolliver.example' }, text },
    { locale, today: TODAY, services: ['tuning', 'tuning visit', 'voicing'] },
  );

describe('what somebody unknown asks', () => {
  it('who, for what, for when, and how they are reached', () => {
    const text =
      'Hello,\n\ncould you come for a tuning visit on 9 December or Monday 14 December? I can be rung on 01632 960111.\n\nBest wishes\nBram Tolliver\n\nOn Friday Imke wrote:\n> on 1 December';
    expect(asked(text)).toEqual({
      name: 'Bram Tolliver',
      email: 'bram@tolliver.example',
      phone: '01632 960111',
      service: 'tuning visit',
      days: [on(2026, 12, 9), on(2026, 12, 14)],
      message: text.slice(0, text.indexOf('\n\nOn Friday')),
    });
  });

  it.each([
    ['Bram Tolliver', 'Bram Tolliver'],
    ['Tolliver, Bram', 'Bram Tolliver'],
    ['Thornholt College', 'Thornholt College'],
    ["'Bram Tolliver'", 'Bram Tolliver'],
    ['bram@tolliver.example', undefined],
    ['', undefined],
    ['7', undefined],
  ])('the sender %j is called %j', (given, name) => expect(asked('Hello.', given).name).toBe(name));

  it.each([
    ['Kind regards,\n\nBram Tolliver', 'Bram Tolliver'],
    ['Thanks!\nBram', 'Bram'],
    ['Mit freundlichen Grüßen\nJörg von Ahlen', 'Jörg von Ahlen'],
    ['Cordialement,\nNoor Haddad', 'Noor Haddad'],
    ['Best wishes\nsent from my telephone', undefined],
    ['Bram Tolliver is my name.', undefined],
  ])('%j is signed by %j', (text, name) => expect(asked(text).name).toBe(name));

  it('days in the language that it is written in, none that is past, at most three', () => {
    expect(asked('Können Sie am 9. Dezember oder am 3.12.2026 kommen? Wir sind dann zu Hause.').days).toEqual(
      [on(2026, 12, 9), on(2026, 12, 3)],
    );
    expect(
      asked('You came on 4 November 2026. Could you come on 9 December, and again on 9 December?').days,
    ).toEqual([on(2026, 12, 9)]);
    expect(asked('1 December, 2 December, 3 December, 4 December').days).toHaveLength(3);
  });

  it('a date is no telephone number, and what says nothing proposes nothing', () => {
    expect(asked('On 2026-12-09, perhaps?').phone).toBeUndefined();
    expect(enquiryIn({ text: '' }, { locale: 'en-GB', today: TODAY, services: [] })).toEqual({
      days: [],
      message: '',
    });
  });
});
