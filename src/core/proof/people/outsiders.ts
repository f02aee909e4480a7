import type { Addressee } from '../../fill/filled';
import type { RecordBook } from '../../records/recordBook';
import type { Check } from '../proofMark';

/** An address that the template names and no record knows: a shared template may have been given it by anybody. */
export const checkOutsiders: Check = ({ addressing: { copies, blindCopies, replyTo } }, { book, client }) => {
  const known = addressesOf(book);
  for (const one of [client?.record, ...(client?.record.contacts ?? [])])
    if (one?.email) known.add(one.email.toLowerCase());
  const unknown = (place: string, people: readonly Addressee[]) =>
    people
      .filter(({ email }) => !known.has(email.toLowerCase()))
      .map(({ email }) => ({
        kind: 'query' as const,
        id: `outsider ${place} ${email}`,
        message: `${place} ${email}: nobody on record has this address.`,
      }));
  return [
    ...unknown('A copy goes to', copies),
    ...unknown('A blind copy goes to', blindCopies),
    ...unknown('Answers go to', replyTo),
  ];
};

const ofBook = new WeakMap<RecordBook, Set<string>>();

/** The addresses of the business, its members and partners, and of the clients that are at hand. */
function addressesOf(book: RecordBook): Set<string> {
  let known = ofBook.get(book);
  if (!known) {
    const clients = [...book.clients.values()].flatMap((client) => [client, ...(client.contacts ?? [])]);
    const all = [book.business, ...book.members.values(), ...book.partners.values(), ...clients];
    ofBook.set(book, (known = new Set(all.flatMap(({ email }) => email?.toLowerCase() ?? []))));
  }
  return new Set(known);
}
