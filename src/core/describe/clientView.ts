import type { MoreOfClient } from '../contract/records/client';
import { fullName } from '../people/names';
import { SCHEMA_DEFAULTS } from '../records/defaults';
import type { RecordBook } from '../records/recordBook';
import type { ClientData } from '../records/recordsFile';
import { FactWords } from './factWords';
import { headingOf } from './headings';
import { nameBooking, nameInvoice, nameProject } from './nameRecord';
import { facts, itemsCalled, itsClient, link, linkToItem, table, type RecordView } from './viewParts';

/** A client with their people, their things and what hangs on them. @param more what the records do not say */
export function clientView(
  book: RecordBook,
  client: ClientData,
  { more_phones = [], more_addresses = [] }: MoreOfClient = {},
): RecordView {
  const words = new FactWords(book);
  const { projects, bookings, invoices, enquiries } = book.ofClient(client);
  const unpaid = book.outstanding(invoices);
  return {
    kind: 'client',
    title: client.name ?? client.key,
    note: [client.kind, client.address?.town].filter(Boolean).join(', '),
    facts: facts('client', [
      ['no_letters_since', words.date(client.no_letters_since)],
      ['outstanding', unpaid ? words.money(unpaid) : undefined],
      ['email', client.email],
      ['phone', words.phone(client.phone)],
      ['mobile', words.phone(client.mobile)],
      ...more_phones.map(({ use, number }) => ({
        label: `${headingOf('client', 'phone')}, ${use}`,
        value: words.phone(number) ?? number,
      })),
      ['address', words.address(client.address)],
      ['billing_address', words.address(client.billing_address)],
      ...more_addresses.map(({ use, address }) => ({
        label: `${headingOf('client', 'address')}, ${use}`,
        value: words.address(address) ?? '',
      })),
      ['preferred_name', client.preferred_name],
      ['language', client.language],
      ['since', words.date(client.since)],
      ['responsible', words.member(client.responsible)],
      ['tags', client.tags?.join(', ')],
      ...words.custom('client', client.custom),
      ['notes', client.notes],
    ]),
    tables: [
      table(
        headingOf('client', 'contacts'),
        ['full_name', 'role', 'email', 'phone'].map((key) => headingOf('contact', key)),
        (client.contacts ?? []).map((contact) => [
          fullName(contact) ?? '',
          [contact.role, ...(contact.uses ?? []).filter((use) => use !== 'main')].filter(Boolean).join(', '),
          contact.email ?? '',
          // A number that is broken over two lines is dialled wrong.
          words.phone(contact.phone ?? contact.mobile)?.replaceAll(' ', '\u00a0') ?? '',
        ]),
      ),
      table(
        itemsCalled(book),
        [headingOf('item', 'name'), headingOf('item', 'kind'), 'Facts'],
        (client.items ?? []).map((item) => [
          item.name ?? '',
          item.kind ?? '',
          words
            .custom('item', item.custom)
            .map(({ label, value }) => `${label}: ${value}`)
            .join(', '),
        ]),
        { links: (client.items ?? []).map((item) => linkToItem(client.key, item)) },
      ),
    ].filter(({ rows }) => rows.length > 0),
    links: [
      ...enquiries.map((one) =>
        link('enquiry', one, { name: one.service ?? 'Enquiry', note: one.status ?? '' }),
      ),
      ...[...projects].reverse().map((one) => link('project', one, nameProject(book, one))),
      ...[...bookings].reverse().map((one) => link('booking', one, nameBooking(book, one))),
      ...[...invoices].reverse().map((one) => link('invoice', one, nameInvoice(book, one))),
    ],
  };
}

/** A client's thing as its page shows it. Undefined: there is none of those keys. */
export function itemView(book: RecordBook, key: string, itemKey: string): RecordView | undefined {
  const client = book.clients.get(key);
  const item = client?.items?.find((one) => one.key === itemKey);
  if (!client || !item) return undefined;
  const words = new FactWords(book);
  const bookings = book.ofClient(client).bookings.filter((one) => one.items?.includes(item.key));
  return {
    kind: book.business.item_label ?? SCHEMA_DEFAULTS.itemLabel,
    title: item.name ?? item.key,
    note: item.kind ?? '',
    facts: facts('item', [...words.custom('item', item.custom), ['notes', item.notes]]),
    tables: [],
    links: [...bookings].reverse().map((one) => link('booking', one, nameBooking(book, one))),
    ...itsClient(book, client.key),
  };
}
