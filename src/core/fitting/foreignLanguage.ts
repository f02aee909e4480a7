import { SCHEMA_DEFAULTS } from '../records/defaults';
import type { Situation } from '../records/which/situation';

/** What a template is written in, where the client does not read that: "In German". */
export function foreignLanguage(
  language: string | undefined,
  { client, book }: Situation,
): string | undefined {
  const own = languageOf(book.business.locale ?? SCHEMA_DEFAULTS.locale);
  const written = language ? languageOf(language) : own;
  const reads = client?.record.language ? languageOf(client.record.language) : own;
  if (written === reads) return undefined;
  return `In ${new Intl.DisplayNames('en', { type: 'language' }).of(written) ?? written}`;
}

function languageOf(locale: string): string {
  const end = locale.indexOf('-');
  return (end < 0 ? locale : locale.slice(0, end)).toLowerCase();
}
