import countryToCurrency from 'country-to-currency';
import type { BusinessData } from './recordsFile';
import { SCHEMA_DEFAULTS } from './defaults';

/** What a browser says of whoever uses it. */
export interface Hints {
  /** BCP 47, the preferred one first */
  languages?: readonly string[] | undefined;
  /** IANA */
  timeZone?: string | undefined;
}

type Habits = Required<
  Pick<BusinessData, 'locale' | 'time_zone' | 'currency' | 'hour_cycle' | 'working_days'>
>;

/** The countries there are, as ISO 3166-1 alpha-2. */
export const COUNTRIES: readonly string[] = Object.keys(countryToCurrency).sort();

/**
 * What a business of a country most likely writes and works by, to be confirmed by its owner: CLDR's likely language, zones,
 * week and hours, and ISO 4217's currency. Of several languages and zones, the one that a browser hints at.
 */
export function countryDefaults(country: string, { languages = [], timeZone }: Hints = {}): Habits {
  const hinted = languages.find((one) => localeOf(one)?.region === country);
  const locale = localeOf(hinted) ?? localeOf(`und-${country}`)?.maximize();
  const own = new Intl.Locale(locale?.language ?? 'en', { region: country }) as LocaleWithHabits;
  const zones = own.timeZones ?? own.getTimeZones?.() ?? [];
  const time_zone = zones.find((zone) => zone === timeZone) ?? zones[0] ?? SCHEMA_DEFAULTS.timeZone;
  const { weekend } = own.weekInfo ?? own.getWeekInfo?.() ?? { weekend: [6, 7] };
  const { hour12 } = new Intl.DateTimeFormat(own.toString(), { hour: 'numeric' }).resolvedOptions();
  return {
    locale: own.toString(),
    time_zone,
    currency: (countryToCurrency as Readonly<Record<string, string>>)[country] ?? SCHEMA_DEFAULTS.currency,
    hour_cycle: hour12 ? 12 : 24,
    working_days: [1, 2, 3, 4, 5, 6, 7].filter((day) => !weekend.includes(day)),
  };
}

/** Intl Locale Info: accessors in some engines, functions in others. */
interface LocaleWithHabits extends Intl.Locale {
  timeZones?: string[];
  getTimeZones?(): string[] | undefined;
  weekInfo?: { weekend: number[] };
  getWeekInfo?(): { weekend: number[] };
}

function localeOf(tag: string | undefined): Intl.Locale | undefined {
  try {
    return tag ? new Intl.Locale(tag) : undefined;
  } catch {
    return undefined;
  }
}
