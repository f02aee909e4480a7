import { civilOf, monthsBetween, type Day } from '../../dates/civil';
import { wallClockOf, type Moment } from '../../dates/zone';
import { decimalString, minorDigits } from '../../money/currency';

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
const DAY_MS = 86_400_000;

const DATE_FORMS: Record<DateForm, Intl.DateTimeFormatOptions> = {
  date: { dateStyle: 'long' },
  'long date': { dateStyle: 'full' },
  'short date': { day: 'numeric', month: 'numeric', year: 'numeric' },
  weekday: { weekday: 'long' },
  'day and month': { day: 'numeric', month: 'long' },
  month: { month: 'long', year: 'numeric' },
};

/** Writes values in one locale, from the platform's Intl data. Formatters are made once and kept. */
export class Formats {
  private readonly dates = new Map<string, Intl.DateTimeFormat>();
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
    return this.dateFormat(form, DATE_FORMS[form]).format(day * DAY_MS);
  }

  time(moment: Moment): string {
    return this.dateFormat('time', this.clock()).format(this.wall(moment));
  }

  dateAndTime(moment: Moment): string {
    const date = { day: 'numeric', month: 'long', year: 'numeric' } as const;
    return this.dateFormat('date and time', { ...date, ...this.clock() }).format(this.wall(moment));
  }

  /** Calendar days: under 14 in days, under 60 in weeks, under 24 months in months, else years. */
  fromNow(day: Day, today: Day): string {
    const days = day - today;
    const size = Math.abs(days);
    if (size < 14) return this.relative.format(days, 'day');
    if (size < 60) return this.relative.format(Math.trunc(days / 7), 'week');
    const months = monthsBetween(today, day);
    if (Math.abs(months) < 24) return this.relative.format(months, 'month');
    const years = civilOf(day).year - civilOf(today).year;
    return this.relative.format(
      Math.abs(months) >= Math.abs(years) * 12 ? years : years - Math.sign(years),
      'year',
    );
  }

  money(amount: number): string {
    const format = this.number('money', { style: 'currency', currency: this.settings.currency });
    return this.exact(format, amount);
  }

  /** Without minor units when they are zero. */
  wholeMoney(amount: number): string {
    if (amount % 10 ** this.minorDigits !== 0) return this.money(amount);
    const whole = { style: 'currency', currency: this.settings.currency, maximumFractionDigits: 0 } as const;
    return this.exact(this.number('whole money', whole), amount);
  }

  /** A sum without its currency, with all its places and no grouping. */
  plainMoney(amount: number): string {
    const places = this.minorDigits;
    const plain = { minimumFractionDigits: places, maximumFractionDigits: places, useGrouping: false };
    return this.exact(this.number('plain money', plain), amount);
  }

  decimal(value: number): string {
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

  /** "2.5 hours" */
  hours(minutes: number): string {
    return this.unit(minutes / 60, 'hour');
  }

  and = (words: readonly string[]): string => this.conjunction.format(words);

  or = (words: readonly string[]): string => this.disjunction.format(words);

  dayOf(moment: Moment): Day {
    return wallClockOf(moment, this.settings.zone).day;
  }

  private wall(moment: Moment): number {
    const { day, time } = wallClockOf(moment, this.settings.zone);
    return day * DAY_MS + time;
  }

  private clock(): Intl.DateTimeFormatOptions {
    if (this.settings.hourCycle === 12) return { hour: 'numeric', minute: '2-digit', hourCycle: 'h12' };
    return { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' };
  }

  private exact(format: Intl.NumberFormat, amount: number): string {
    // A decimal string keeps every digit; the type lags behind the standard (ES2023).
    return format.format(decimalString(amount, this.minorDigits) as unknown as number);
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

  /** All formatters read UTC: what they are given is the wall clock's reading. */
  private dateFormat(key: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
    let format = this.dates.get(key);
    if (!format) {
      format = new Intl.DateTimeFormat(this.settings.locale, { ...options, timeZone: 'UTC' });
      this.dates.set(key, format);
    }
    return format;
  }
}
