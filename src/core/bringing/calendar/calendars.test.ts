import { describe, expect, it } from 'vitest';
import type { BroughtBooking, BroughtRow, OwnWays } from '../brought';
import { openFile } from '../openFile';

const OWN: OwnWays = {
  locale: 'en-GB',
  currency: 'GBP',
  zone: 'Europe/London',
  hourCycle: 24,
  now: Date.parse('2026-11-25T09:00:00Z'),
  fields: [],
  services: [{ name: 'Tuning visit', minutes: 90 }],
};

function open(...lines: string[]) {
  const text = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//test', ...lines, 'END:VCALENDAR'].join('\r\n');
  return openFile(new TextEncoder().encode(text), OWN);
}
const event = (...lines: string[]) => ['BEGIN:VEVENT', 'UID:one@post.example', ...lines, 'END:VEVENT'];
const rows = (...lines: string[]) => open(...lines).read() as BroughtRow<BroughtBooking>[];
const facts = (...lines: string[]) => rows(...lines).map((row) => row.facts);
const starts = (...lines: string[]) => facts(...lines).map((one) => one?.starts_at);
const doubts = (...lines: string[]) =>
  rows(...lines).flatMap((row) =>
    row.doubts.map(({ column, words, message }) => `${row.row} ${column} “${words}”: ${message}`),
  );

describe('a calendar', () => {
  it('of a visit, with whose it is, what is done, where and how long', () => {
    expect(
      rows(
        ...event(
          'DTSTART:20261201T100000Z',
          'DTEND:20261201T113000Z',
          'SUMMARY:Tuning visit\\, Ada Reyes',
          'LOCATION:1 Quay\\, Saltby',
          'DESCRIPTION:The grand.\\nRing twice.',
          'ATTENDEE;CN=Ada Reyes:mailto:ada@reyes.example',
        ),
      ),
    ).toEqual([
      {
        row: 1,
        facts: {
          uid: 'one@post.example',
          whose: { emails: ['ada@reyes.example'], names: ['Ada Reyes', 'Tuning visit, Ada Reyes'] },
          service: 'Tuning visit',
          status: 'confirmed',
          starts_at: '2026-12-01T10:00:00+00:00',
          ends_at: '2026-12-01T11:30:00+00:00',
          location: { street: ['1 Quay', 'Saltby'] },
          notes: 'The grand.\nRing twice.',
        },
        doubts: [],
      },
    ]);
  });

  it('with times of a zone, of a zone it brings along, of none and of one that nobody knows', () => {
    const zone = [
      ...['BEGIN:VTIMEZONE', 'TZID:Own Time', 'BEGIN:STANDARD', 'DTSTART:19700101T000000'],
      ...['TZOFFSETFROM:+0300', 'TZOFFSETTO:+0300', 'END:STANDARD', 'END:VTIMEZONE'],
    ];
    const at = (start: string) => starts(...zone, ...event('SUMMARY:Visit', start, 'DURATION:PT1H'))[0];
    expect(at('DTSTART;TZID=Europe/Berlin:20260701T100000')).toBe('2026-07-01T09:00:00+01:00');
    expect(at('DTSTART;TZID=/vendor.example/Europe/Berlin:20260701T100000')).toBe(
      '2026-07-01T09:00:00+01:00',
    );
    expect(at('DTSTART;TZID=Own Time:20261201T100000')).toBe('2026-12-01T07:00:00+00:00');
    expect(at('DTSTART:20260701T100000')).toBe('2026-07-01T10:00:00+01:00');
    expect(
      doubts(...event('SUMMARY:Visit', 'DTSTART;TZID=Old Office Time:20261201T100000', 'DURATION:PT1H')),
    ).toEqual([
      '1 TZID “Old Office Time”: This time zone is not known: the time is taken as that of your own clock.',
    ]);
  });

  it('what repeats is there on each of its days, without those excepted, and with those that were moved', () => {
    const series = event(
      'SUMMARY:Tuning visit',
      'DTSTART;TZID=Europe/London:20261005T100000',
      'DTEND;TZID=Europe/London:20261005T110000',
      'RRULE:FREQ=WEEKLY;UNTIL=20261102T100000Z',
      'EXDATE;TZID=Europe/London:20261012T100000',
      'EXDATE;VALUE=DATE:20261019',
    );
    const moved = event(
      'SUMMARY:Tuning visit',
      'RECURRENCE-ID;TZID=Europe/London:20261026T100000',
      'DTSTART;TZID=Europe/London:20261027T140000',
      'DTEND;TZID=Europe/London:20261027T150000',
    );
    // Its clock stays at ten though summer time ends between.
    expect(starts(...series)).toEqual([
      '2026-10-05T10:00:00+01:00',
      '2026-10-26T10:00:00+00:00',
      '2026-11-02T10:00:00+00:00',
    ]);
    const all = facts(...series, ...moved);
    expect(all.map((one) => one?.starts_at)).toEqual([
      '2026-10-05T10:00:00+01:00',
      '2026-11-02T10:00:00+00:00',
      '2026-10-27T14:00:00+00:00',
    ]);
    // Moved, it is still the same one.
    expect(all[2]?.uid).toBe('one@post.example 2026-10-26T10:00:00.000Z');
    expect(facts(...series)[1]?.uid).toBe('one@post.example 2026-10-26T10:00:00.000Z');
  });

  it('further days beside a rule', () => {
    expect(
      starts(
        ...event(
          'SUMMARY:Visit',
          'DTSTART:20261201T100000Z',
          'DURATION:PT1H',
          'RDATE:20261224T100000Z,20261201T100000Z',
        ),
      ),
    ).toEqual(['2026-12-01T10:00:00+00:00', '2026-12-24T10:00:00+00:00']);
  });

  it('what goes on for ever is read a year ahead, what began long ago a year back', () => {
    const all = starts(
      ...event('SUMMARY:Visit', 'DTSTART:19990104T100000Z', 'DURATION:PT1H', 'RRULE:FREQ=WEEKLY'),
    );
    expect(all.length).toBe(105);
    expect([all[0]!.slice(0, 10), all.at(-1)!.slice(0, 10)]).toEqual(['2025-11-24', '2027-11-22']);
  });

  it.each<[string, string[], string]>([
    [
      '31 February',
      ['DTSTART:20260231T100000'],
      '1 DTSTART “2026-02-31T10:00:00”: There is no such day or time.',
    ],
    [
      'hour 25',
      ['DTSTART:20261201T250000'],
      '1 DTSTART “2026-12-01T25:00:00”: There is no such day or time.',
    ],
    ['no beginning', ['DURATION:PT1H'], '1 DTSTART “”: It does not say when it begins.'],
    [
      'a whole day',
      ['DTSTART;VALUE=DATE:20261201'],
      '1 DTSTART “2026-12-01”: It lasts the whole day: write from when to when, as 09:00-11:00.',
    ],
  ])('%s makes no visit, and is told', (_, lines, message) => {
    const event_ = event('SUMMARY:Visit', ...lines);
    expect(facts(...event_)).toEqual([undefined]);
    expect(doubts(...event_)).toEqual([message]);
  });

  it('a whole day is mended by its hours, a missing title by what is done', () => {
    const whole = open(...event('DTSTART;VALUE=DATE:20260701'));
    expect(
      whole.readRow(1, undefined, { times: '9.30 – 11.00', service: 'Regulation' })?.facts,
    ).toMatchObject({
      service: 'Regulation',
      starts_at: '2026-07-01T09:30:00+01:00',
      ends_at: '2026-07-01T11:00:00+01:00',
    });
    expect(whole.readRow(1, undefined, { times: '25:00-26:00', service: 'x' })?.facts).toBeUndefined();
    expect(whole.readRow(1, undefined, { times: '11:00-09:00', service: 'x' })?.facts).toBeUndefined();
  });

  it('without an end it lasts as long as its service, else an hour; one that ends before it begins, too', () => {
    const ends = (...lines: string[]) =>
      facts(...event('DTSTART:20261201T100000Z', ...lines))[0]?.ends_at.slice(11, 16);
    expect(ends('SUMMARY:TUNING VISIT for Ada')).toBe('11:30');
    expect(ends('SUMMARY:Something else')).toBe('11:00');
    expect(ends('SUMMARY:Something else', 'DTEND:20261201T090000Z')).toBe('11:00');
    expect(doubts(...event('SUMMARY:x', 'DTSTART:20261201T100000Z', 'DTEND:20261201T090000Z'))).toEqual([
      '1 DTEND “2026-12-01T09:00:00Z”: It ends before it begins, or never.',
      '1 DTEND “”: It does not say when it ends: an hour is taken.',
    ]);
  });

  it('cancelled, tentative, and over', () => {
    const status = (...lines: string[]) => facts(...event('SUMMARY:x', 'DURATION:PT1H', ...lines))[0]?.status;
    expect(status('DTSTART:20261201T100000Z', 'STATUS:CANCELLED')).toBe('cancelled');
    expect(status('DTSTART:20261201T100000Z', 'STATUS:TENTATIVE')).toBe('tentative');
    expect(status('DTSTART:20261101T100000Z', 'STATUS:TENTATIVE')).toBe('done');
  });

  it('one that is broken, has no end or no mark keeps no other out', () => {
    const { events, problems } = (() => {
      const file = open(
        ...['BEGIN:VEVENT', 'UID:a', 'this is no line', 'END:VEVENT'],
        ...['BEGIN:VEVENT', 'UID:b', 'SUMMARY:cut off'],
        ...['BEGIN:VEVENT', 'SUMMARY:no mark', 'DTSTART:20261201T100000Z', 'DURATION:PT1H', 'END:VEVENT'],
        ...event('SUMMARY:Whole', 'DTSTART:20261201T100000Z', 'DURATION:PT1H'),
      );
      return { events: file.read() as BroughtRow<BroughtBooking>[], problems: file.problems };
    })();
    expect(events.map((one) => one.facts?.service)).toEqual([undefined, undefined, 'Whole']);
    expect(problems).toEqual([{ line: 8, message: 'What begins here has no end.' }]);
    expect(events[0]!.doubts[0]!.message).toMatch(/^This event cannot be read: /);
    expect(events[1]!.doubts[0]!.message).toMatch(/no mark of its own \(UID\)/);
  });

  it('a rule that is not read gives its first day and is told; one without end or sense takes no time', () => {
    for (const rule of ['FREQ=SECONDLY', 'FREQ=YEARLY;BYWEEKNO=20', 'FREQ=DAILY;INTERVAL=0;COUNT=5']) {
      const lines = event('SUMMARY:x', 'DTSTART:20261201T100000Z', 'DURATION:PT1H', `RRULE:${rule}`);
      const read = rows(...lines);
      expect(read.length).toBeGreaterThanOrEqual(1);
      expect(read[0]!.facts?.starts_at ?? read[0]!.doubts[0]!.message).toBeTruthy();
    }
    const began = performance.now();
    const bombs = Array.from({ length: 200 }, (_, i) => [
      ...['BEGIN:VEVENT', `UID:${i}`, 'SUMMARY:x', 'DTSTART:19700101T100000Z', 'DURATION:PT1H'],
      ...['RRULE:FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30', 'END:VEVENT'],
    ]).flat();
    expect(rows(...bombs)).toEqual([]);
    expect(performance.now() - began).toBeLessThan(5_000);
  });

  it('of very many days stops and says so', () => {
    const daily = Array.from({ length: 40 }, (_, i) => [
      ...[
        'BEGIN:VEVENT',
        `UID:${i}`,
        'SUMMARY:x',
        'DTSTART:20200101T100000Z',
        'DURATION:PT1H',
        'RRULE:FREQ=DAILY',
      ],
      'END:VEVENT',
    ]).flat();
    const file = open(...daily);
    expect(file.read()).toHaveLength(20_000);
    expect(file.problems).toEqual([{ line: 1, message: 'Only the first 20000 events are read.' }]);
  });
});
