/** "1 hour, 30 minutes"; nothing where there is no length. */
export function lengthInWords(minutes: number | undefined, locale: string): string {
  if (minutes === undefined || minutes <= 0) return '';
  const say = (count: number, unit: string) =>
    new Intl.NumberFormat(locale, { style: 'unit', unit, unitDisplay: 'long' }).format(count);
  const [days, hours, rest] = [Math.floor(minutes / 1440), Math.floor(minutes / 60) % 24, minutes % 60];
  return [days && say(days, 'day'), hours && say(hours, 'hour'), rest && say(rest, 'minute')]
    .filter(Boolean)
    .join(', ');
}
