import type { RecordBook } from '../records/recordBook';

/** Whose work an invoice is: whoever is responsible for its project, else for its client. */
export function responsibleFor(
  book: RecordBook,
  { project, client }: { project?: string; client?: string },
): { member?: string } {
  const member = book.projects.get(project ?? '')?.responsible ?? book.clients.get(client ?? '')?.responsible;
  return member ? { member } : {};
}
