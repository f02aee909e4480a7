import { readDay } from '../dates/civil';
import { formatsOf } from '../fill/formats/formatsOf';
import type { Situation } from '../records/which/situation';

/** That the client of a letter asked for none, and when, in a sentence; undefined: they did not. */
export function askedForNone({ client, book }: Pick<Situation, 'client' | 'book'>): string | undefined {
  const { no_letters_since: since, name = 'The client' } = client?.record ?? {};
  if (!since) return undefined;
  const day = readDay(since);
  const when = day === undefined ? '' : ` on ${formatsOf(book).date(day, 'date')}`;
  return `${name} asked for no letters${when}.`;
}
