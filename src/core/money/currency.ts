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

/** Reads "£1,250.00", "1250.5" or "1250" as minor units; undefined when it is no amount or has too many places. */
export function readAmount(text: string, currency: string): number | undefined {
  const bare = text.trim().replace(/^(-?)\s*(?:\p{Sc}|[A-Z]{3})\s*/u, '$1');
  const found = /^(-?)(\d{1,3}(?:,\d{3})+|\d+)(?:\.(\d+))?$/.exec(bare);
  if (!found) return undefined;
  const places = minorDigits(currency);
  const part = found[3] ?? '';
  if (part.length > places) return undefined;
  const amount = Number(found[2]!.replaceAll(',', '') + part.padEnd(places, '0'));
  if (!Number.isSafeInteger(amount)) return undefined;
  return found[1] ? -amount : amount;
}
