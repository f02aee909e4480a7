/** The greatest sum that is taken, in minor units: what is more is a slip, and lists could not add it up. */
export const LARGEST_SUM = 100_000_000_000;

const digits = new Map<string, number>();

/** How many decimal places a currency's minor unit has (ISO 4217, as the platform knows it): GBP 2, JPY 0. */
export function minorDigits(currency: string): number {
  let found = digits.get(currency);
  if (found === undefined) {
    const format = new Intl.NumberFormat('en', { style: 'currency', currency });
    found = format.resolvedOptions().maximumFractionDigits ?? 2;
    digits.set(currency, found);
  }
  return found;
}

/** Whether this is a well-formed ISO 4217 code. */
export function isCurrency(code: string): boolean {
  return /^[A-Z]{3}$/.test(code);
}

/** An amount of minor units as a decimal string, exact: 123450 with 2 digits is "1234.50". */
export function decimalString(amount: number, places: number): string {
  const text = String(Math.abs(amount)).padStart(places + 1, '0');
  const whole = places ? text.slice(0, -places) : text;
  const part = places ? `.${text.slice(-places)}` : '';
  return `${amount < 0 ? '-' : ''}${whole}${part}`;
}

/**
 * Reads "£1,250.00", "1250.5", "GBP 1250" or "1250" as minor units; undefined when it is no amount, has too many
 * places, the sign of another currency, or is over LARGEST_SUM.
 */
export function readAmount(text: string, currency: string): number | undefined {
  const written = /^([-−]?)\s*(\p{L}{0,3}\p{Sc}?)\s*([\d.,]+)\s*(\p{Sc}|\p{L}{1,3})?$/u.exec(text.trim());
  const [, minus, before, figures = '', behind] = written ?? [];
  const found = /^(\d{1,3}(?:,\d{3})+|\d+)(?:\.(\d+))?$/.exec(figures);
  if (!found || (before && behind)) return undefined;
  const sign = before || behind;
  if (sign && ![...signsOf(currency)].some((one) => one.toUpperCase() === sign.toUpperCase()))
    return undefined;
  const places = minorDigits(currency);
  const part = found[2] ?? '';
  if (part.length > places) return undefined;
  const amount = Number(found[1]!.replaceAll(',', '') + part.padEnd(places, '0'));
  if (amount > LARGEST_SUM) return undefined;
  return minus ? -amount : amount;
}

const signs = new Map<string, ReadonlySet<string>>();

/** How a currency is written beside an amount: by its code and its signs. */
export function signsOf(currency: string): ReadonlySet<string> {
  let known = signs.get(currency);
  if (!known) {
    const shown = (['symbol', 'narrowSymbol'] as const).map(
      (currencyDisplay) =>
        new Intl.NumberFormat('en', { style: 'currency', currency, currencyDisplay })
          .formatToParts(0)
          .find(({ type }) => type === 'currency')!.value,
    );
    signs.set(currency, (known = new Set([currency, ...shown])));
  }
  return known;
}
