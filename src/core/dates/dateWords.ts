/** How people of a language write days. */
export interface DateWords {
  /** 1 January to 12 December by name, long or short, in lower case and without a full stop */
  months: ReadonlyMap<string, number>;
  /** 1 Monday to 7 Sunday, likewise */
  weekdays: ReadonlyMap<string, number>;
  /** whether "3/4" is in March */
  monthFirst: boolean;
}

/** Names of fewer letters are not taken for what they begin. */
const SHORTEST_NAME = 3;

const known = new Map<string, DateWords>();

/** The names of months and weekdays in a language and in English, and the order of figures. @param locale BCP 47 */
export function dateWords(locale: string): DateWords {
  let words = known.get(locale);
  if (!words) known.set(locale, (words = readWords(locale)));
  return words;
}

/** A name as it is looked up. */
export function nameKey(name: string): string {
  return name.toLowerCase().replace(/\.$/, '');
}

/** The month of a name, or of what one name alone begins with: 1 January to 12 December. */
export function monthNamed(name: string, { months }: DateWords): number | undefined {
  return numberNamed(name, months);
}

/** The weekday of a name, likewise: 1 Monday to 7 Sunday. */
export function weekdayNamed(name: string, { weekdays }: DateWords): number | undefined {
  return numberNamed(name, weekdays);
}

function numberNamed(name: string, names: ReadonlyMap<string, number>): number | undefined {
  const wanted = nameKey(name);
  const whole = names.get(wanted);
  if (whole !== undefined || wanted.length < SHORTEST_NAME) return whole;
  const begun = new Set([...names].filter(([one]) => one.startsWith(wanted)).map(([, number]) => number));
  return begun.size === 1 ? [...begun][0] : undefined;
}

function readWords(locale: string): DateWords {
  const months = new Map<string, number>();
  const weekdays = new Map<string, number>();
  for (const language of new Set([locale, 'en'])) {
    for (const length of ['long', 'short'] as const) {
      const month = new Intl.DateTimeFormat(language, { month: length, day: 'numeric', timeZone: 'UTC' });
      const weekday = new Intl.DateTimeFormat(language, { weekday: length, timeZone: 'UTC' });
      for (let i = 1; i <= 12; i++) {
        const name = month
          .formatToParts(Date.UTC(2026, i - 1, 15))
          .find(({ type }) => type === 'month')!.value;
        if (name.length >= SHORTEST_NAME && !months.has(nameKey(name))) months.set(nameKey(name), i);
      }
      // The first of January 1970 was a Thursday.
      for (let i = 1; i <= 7; i++) {
        const name = weekday.format((i + 3) * 86_400_000);
        if (!weekdays.has(nameKey(name))) weekdays.set(nameKey(name), i);
      }
    }
  }
  const parts = new Intl.DateTimeFormat(locale).formatToParts(0).map(({ type }) => type);
  return { months, weekdays, monthFirst: parts.indexOf('month') < parts.indexOf('day') };
}
