import { monthsBetween, plusMonths, type Day } from '../../dates/civil';
import { dayAt, wallClockOf, type Moment } from '../../dates/zone';
import { minorDigits } from '../../money/currency';
import { dateWriter } from './dateWriter';
import { sumWriter } from './sumWriter';

/** What decides how a value is written: the letter's language, and the business's zone, currency and clock. */
export interface FormatSettings {
  /** BCP 47: the template's language where it has one, else the business's */
  locale: string;
  /** the business's own locale: its country reads telephone numbers and addresses */
  home: string;
  zone: string;
  currency: string;
  hourCycle: 12 | 24;
}

type DateForm = 'date' | 'long date' | 'short date' | 'weekday' | 'day and month' | 'month';
type WriteSum = (units: number) => string;
type SumForm = 'money' | 'whole money' | 'plain money' | 'whole number';
const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;
/** Days from which on a day is said with its year. */
const FAR = 300;

const DATE_FORMS: Record<DateForm, Intl.DateTimeFormatOptions> = {
  date: { dateStyle: 'long' },
  'long date': { dateStyle: 'full' },
  'short date': { day: 'numeric', month: 'numeric', year: 'numeric' },
  weekday: { weekday: 'long' },
  'day and month': { day: 'numeric', month: 'long' },
  month: { month: 'long', year: 'numeric' },
};

/** Months from one day to another, to the nearest whole number of `size` months. */
function nearestMonths(from: Day, to: Day, size: number): number {
  const whole = Math.trunc(monthsBetween(from, to) / size) * size;
  const next = whole + (to < from ? -size : size);
  return Math.abs(to - plusMonths(from, next)) < Math.abs(to - plusMonths(from, whole)) ? next : whole;
}

/** Writes values in one locale, from the platform's Intl data. Formatters are made once and kept. */
export class Formats {
  private readonly dates: Partial<Record<DateForm, (day: Day) => string>> = {};
  /** by the minute of the day */
  private readonly times: string[] = [];
  private readonly clocks = new Map<string, Intl.DateTimeFormat>();
  /** each in a place of its own, as a form looked up by its name is slower to find than to use */
  private writeMoney: WriteSum | undefined;
  private writeWholeMoney: WriteSum | undefined;
  private writePlainMoney: WriteSum | undefined;
  private writeWholeNumber: WriteSum | undefined;
  private readonly numbers = new Map<string, Intl.NumberFormat>();
  private readonly conjunction: Intl.ListFormat;
  private readonly disjunction: Intl.ListFormat;
  private readonly relative: Intl.RelativeTimeFormat;
  readonly minorDigits: number;

  constructor(readonly settings: FormatSettings) {
    const { locale, currency } = settings;
    this.minorDigits = minorDigits(currency);
    this.conjunction = new Intl.ListFormat(locale, { type: 'conjunction' });
    this.disjunction = new Intl.ListFormat(locale, { type: 'disjunction' });
    this.relative = new Intl.RelativeTimeFormat(locale, { numeric: 'auto' });
  }

  date(day: Day, form: DateForm): string {
    return (this.dates[form] ??= dateWriter(this.dateFormat(DATE_FORMS[form])))(day);
  }

  time(moment: Moment): string {
    const minute = Math.floor(wallClockOf(moment, this.settings.zone).time / MINUTE_MS);
    return (this.times[minute] ??= this.clock('time', {}).format(minute * MINUTE_MS));
  }

  dateAndTime(moment: Moment): string {
    const date = { day: 'numeric', month: 'long', year: 'numeric' } as const;
    return this.clock('date and time', date).format(this.wall(moment));
  }

  /** Calendar days: under 14 in days, under 60 in weeks, under 24 months in months, else years, each to the nearest. */
  fromNow(day: Day, today: Day): string {
    const days = day - today;
    const size = Math.abs(days);
    if (size < 14) return this.relative.format(days, 'day');
    if (size < 60) return this.relative.format(Math.round(days / 7), 'week');
    if (Math.abs(monthsBetween(today, day)) < 24)
      return this.relative.format(nearestMonths(today, day, 1), 'month');
    return this.relative.format(nearestMonths(today, day, 12) / 12, 'year');
  }

  money(amount: number): string {
    return (this.writeMoney ??= this.sumWriter('money'))(amount);
  }

  /** Without minor units when they are zero. */
  wholeMoney(amount: number): string {
    const unit = 10 ** this.minorDigits;
    if (amount % unit !== 0) return this.money(amount);
    return (this.writeWholeMoney ??= this.sumWriter('whole money'))(amount / unit);
  }

  /** A sum without its currency, with all its places and no grouping. */
  plainMoney(amount: number): string {
    return (this.writePlainMoney ??= this.sumWriter('plain money'))(amount);
  }

  decimal(value: number): string {
    if (Number.isSafeInteger(value) && !Object.is(value, -0))
      return (this.writeWholeNumber ??= this.sumWriter('whole number'))(value);
    return this.number('decimal', { maximumFractionDigits: 10 }).format(value);
  }

  percent(value: number): string {
    return this.number('percent', { style: 'percent', maximumFractionDigits: 4 }).format(value / 100);
  }

  /** "2 hours 30 minutes" */
  duration(minutes: number): string {
    const [hours, rest] = [Math.trunc(minutes / 60), minutes % 60];
    const parts = [hours && this.unit(hours, 'hour'), rest && this.unit(rest, 'minute')].filter(Boolean);
    return parts.length ? parts.join(' ') : this.unit(0, 'minute');
  }

  /** "30 November"; with its year where that is far from today */
  dayNear(day: Day, today: Day): string {
    return this.date(day, Math.abs(day - today) < FAR ? 'day and month' : 'date');
  }

  /** "Monday 30 November"; with its year where that is far from today */
  dayInWeek(day: Day, today: Day): string {
    return `${this.date(day, 'weekday')} ${this.dayNear(day, today)}`;
  }

  /** "2.5 hours" */
  hours(minutes: number): string {
    return this.unit(minutes / 60, 'hour');
  }

  and = (words: readonly string[]): string =>
    words.length === 1 ? words[0]! : this.conjunction.format(words);

  or = (words: readonly string[]): string =>
    words.length === 1 ? words[0]! : this.disjunction.format(words);

  dayOf(moment: Moment): Day {
    return dayAt(moment, this.settings.zone);
  }

  private wall(moment: Moment): number {
    const { day, time } = wallClockOf(moment, this.settings.zone);
    return day * DAY_MS + time;
  }

  /** All formatters read UTC: what they are given is the wall clock's reading. */
  private clock(key: string, date: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
    let format = this.clocks.get(key);
    if (!format) {
      const time =
        this.settings.hourCycle === 12
          ? ({ hour: 'numeric', minute: '2-digit', hourCycle: 'h12' } as const)
          : ({ hour: '2-digit', minute: '2-digit', hourCycle: 'h23' } as const);
      this.clocks.set(key, (format = this.dateFormat({ ...date, ...time })));
    }
    return format;
  }

  private dateFormat(options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
    return new Intl.DateTimeFormat(this.settings.locale, { ...options, timeZone: 'UTC' });
  }

  private sumWriter(form: SumForm): WriteSum {
    const { locale, currency } = this.settings;
    const places = form === 'whole number' || form === 'whole money' ? 0 : this.minorDigits;
    const options: Intl.NumberFormatOptions =
      form === 'plain money'
        ? { minimumFractionDigits: places, maximumFractionDigits: places, useGrouping: false }
        : form === 'whole number'
          ? {}
          : { style: 'currency', currency, ...(form === 'money' ? {} : { maximumFractionDigits: 0 }) };
    return sumWriter(new Intl.NumberFormat(locale, options), places);
  }

  private unit(value: number, unit: 'hour' | 'minute'): string {
    return this.number(unit, { style: 'unit', unit, unitDisplay: 'long', maximumFractionDigits: 2 }).format(
      value,
    );
  }

  private number(key: string, options: Intl.NumberFormatOptions): Intl.NumberFormat {
    let format = this.numbers.get(key);
    if (!format) this.numbers.set(key, (format = new Intl.NumberFormat(this.settings.locale, options)));
    return format;
  }
}
