import { fullName } from '../people/names';
import type { RecordBook } from '../records/recordBook';

/** Whom an occasion is about. */
export function clientName(book: RecordBook, key: string | undefined): string {
  return fullName(book.clients.get(key ?? '') ?? {}) ?? 'A client';
}
