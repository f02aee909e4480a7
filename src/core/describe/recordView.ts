import type { MoreOfClient } from '../contract/records/client';
import { capital } from './capital';
import type { RecordBook } from '../records/recordBook';
import { SCHEMA_DEFAULTS } from '../records/defaults';
import { sumLine } from '../records/derive/invoiceSums';
import { fullName } from '../people/names';
import type {
  BookingData,
  ClientData,
  EnquiryData,
  InvoiceData,
  ItemData,
  ProjectData,
} from '../records/recordsFile';
import type { RecordKind } from '../records/recordKind';
import type { StartingPoint } from '../records/which/situation';
import { FactWords } from './factWords';
import { headingOf } from './headings';
import { nameBooking, nameInvoice, nameProject } from './nameRecord';

/** A record as its page shows it: what it is called, its facts in order, and what hangs on it. */
export interface RecordView {
  /** the kind in words: "visit" */
  kind: string;
  title: string;
  note: string;
  facts: Fact[];
  /** lines, payments, items, people: each a short table; so many of its last columns are sums, and its rows may lead to records */
  tables: { title: string; columns: string[]; rows: string[][]; sums?: 1 | 2; links?: RecordLink[] }[];
  /** other records it leads to */
  links: RecordLink[];
  /** what heads those to things */
  items?: string;
  client?: { key: string; name: string };
}

interface Fact {
  label: string;
  value: string;
}

/** A record that another leads to; a thing with its client's key. */
export interface RecordLink {
  kind: 'project' | 'booking' | 'invoice' | 'enquiry' | 'item';
  key: string;
  client?: string;
  name: string;
  note: string;
}

/** A client's thing as its page shows it. Undefined: there is none of those keys. */
export function itemView(book: RecordBook, client: string, key: string): RecordView | undefined {
  const owner = book.clients.get(client);
  const item = owner?.items?.find((one) => one.key === key);
  return item && new View(book).item(owner!, item);
}

/** Undefined: there is no such record. @param more of a client, what the records do not say */
export function recordView(
  book: RecordBook,
  { kind, key }: StartingPoint,
  more?: MoreOfClient,
): RecordView | undefined {
  const view = new View(book);
  switch (kind) {
    case 'client': {
      const client = book.clients.get(key);
      return client && view.client(client, more);
    }
    case 'enquiry': {
      const enquiry = book.enquiries.get(key);
      return enquiry && view.enquiry(enquiry);
    }
    case 'project': {
      const project = book.projects.get(key);
      return project && view.project(project);
    }
    case 'booking': {
      const booking = book.bookings.get(key);
      return booking && view.booking(booking);
    }
    case 'invoice': {
      const invoice = book.invoices.get(key);
      return invoice && view.invoice(invoice);
    }
  }
}

class View {
  private readonly words: FactWords;

  constructor(private readonly book: RecordBook) {
    this.words = new FactWords(book);
  }

  client(client: ClientData, { more_phones = [], more_addresses = [] }: MoreOfClient = {}): RecordView {
    const { projects, bookings, invoices, enquiries } = this.book.ofClient(client);
    const unpaid = this.book.outstanding(invoices);
    return {
      kind: 'client',
      title: client.name ?? client.key,
      note: [client.kind, client.address?.town].filter(Boolean).join(', '),
      facts: facts('client', [
        ['no_letters_since', this.words.date(client.no_letters_since)],
        ['outstanding', unpaid ? this.words.money(unpaid) : undefined],
        ['email', client.email],
        ['phone', this.words.phone(client.phone)],
        ['mobile', this.words.phone(client.mobile)],
        ...more_phones.map(({ use, number }) => ({
          label: `${headingOf('client', 'phone')}, ${use}`,
          value: this.words.phone(number) ?? number,
        })),
        ['address', this.words.address(client.address)],
        ['billing_address', this.words.address(client.billing_address)],
        ...more_addresses.map(({ use, address }) => ({
          label: `${headingOf('client', 'address')}, ${use}`,
          value: this.words.address(address) ?? '',
        })),
        ['preferred_name', client.preferred_name],
        ['language', client.language],
        ['since', this.words.date(client.since)],
        ['responsible', this.words.member(client.responsible)],
        ['tags', client.tags?.join(', ')],
        ...this.words.custom('client', client.custom),
        ['notes', client.notes],
      ]),
      tables: [
        table(
          headingOf('client', 'contacts'),
          ['full_name', 'role', 'email', 'phone'].map((key) => headingOf('contact', key)),
          (client.contacts ?? []).map((contact) => [
            fullName(contact) ?? '',
            [contact.role, ...(contact.uses ?? []).filter((use) => use !== 'main')]
              .filter(Boolean)
              .join(', '),
            contact.email ?? '',
            // A number that is broken over two lines is dialled wrong.
            this.words.phone(contact.phone ?? contact.mobile)?.replaceAll(' ', '\u00a0') ?? '',
          ]),
        ),
        table(
          this.items,
          [headingOf('item', 'name'), headingOf('item', 'kind'), 'Facts'],
          (client.items ?? []).map((item) => [
            item.name ?? '',
            item.kind ?? '',
            this.words
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
        ...[...projects].reverse().map((one) => link('project', one, nameProject(this.book, one))),
        ...[...bookings].reverse().map((one) => link('booking', one, nameBooking(this.book, one))),
        ...[...invoices].reverse().map((one) => link('invoice', one, nameInvoice(this.book, one))),
      ],
    };
  }

  item(client: ClientData, item: ItemData): RecordView {
    const bookings = this.book.ofClient(client).bookings.filter((one) => one.items?.includes(item.key));
    return {
      kind: this.book.business.item_label ?? SCHEMA_DEFAULTS.itemLabel,
      title: item.name ?? item.key,
      note: item.kind ?? '',
      facts: facts('item', [...this.words.custom('item', item.custom), ['notes', item.notes]]),
      tables: [],
      links: [...bookings].reverse().map((one) => link('booking', one, nameBooking(this.book, one))),
      ...this.itsClient(client.key),
    };
  }

  enquiry(enquiry: EnquiryData): RecordView {
    return {
      kind: 'enquiry',
      title: this.book.clients.get(enquiry.client ?? '')?.name ?? enquiry.name ?? enquiry.email ?? 'Enquiry',
      note: [enquiry.service, enquiry.status].filter(Boolean).join(', '),
      facts: facts('enquiry', [
        ['received_at', this.words.moment(enquiry.received_at)],
        ['via', enquiry.via],
        ['name', enquiry.name],
        ['email', enquiry.email],
        ['phone', this.words.phone(enquiry.phone)],
        ['wanted_on', (enquiry.wanted_on ?? []).map((day) => this.words.date(day)).join(', ')],
        ['message', enquiry.message],
      ]),
      tables: [],
      links: [],
      ...this.itsClient(enquiry.client),
    };
  }

  project(project: ProjectData): RecordView {
    const { bookings, invoices } = this.book.ofProject(project);
    return {
      kind: 'project',
      title: project.title ?? project.key,
      note: nameProject(this.book, project).note,
      facts: facts('project', [
        ['starts_on', this.words.date(project.starts_on)],
        ['ends_on', this.words.date(project.ends_on)],
        ['value', this.words.money(project.value)],
        ['location', this.words.address(project.location)],
        ['responsible', this.words.member(project.responsible)],
        ...this.words.custom('project', project.custom),
        ['notes', project.notes],
      ]),
      tables: [],
      links: [
        ...[...bookings].reverse().map((one) => link('booking', one, nameBooking(this.book, one))),
        ...[...invoices].reverse().map((one) => link('invoice', one, nameInvoice(this.book, one))),
      ],
      ...this.itsClient(project.client),
    };
  }

  booking(booking: BookingData): RecordView {
    const items = this.book.itemsOf(booking);
    const project = this.book.projects.get(booking.project ?? '');
    const { name, note } = nameBooking(this.book, booking);
    return {
      kind: 'visit',
      title: name,
      note,
      facts: facts('booking', [
        ['starts_at', this.words.moment(booking.starts_at)],
        ['ends_at', this.words.time(booking.ends_at)],
        ['status', booking.status],
        ['member', this.words.member(booking.member)],
        ['location', this.words.address(booking.location)],
        ['price', this.words.money(booking.price)],
        ...this.words.custom('booking', booking.custom),
        ['notes', booking.notes],
      ]),
      tables: [],
      items: this.items,
      links: [
        ...items.map((item) => linkToItem(booking.client ?? '', item)),
        ...(project ? [link('project', project, nameProject(this.book, project))] : []),
      ],
      ...this.itsClient(booking.client),
    };
  }

  invoice(invoice: InvoiceData): RecordView {
    const sums = this.book.sumsOf(invoice);
    const money = (amount: number | undefined) => this.words.money(amount) ?? '';
    const project = this.book.projects.get(invoice.project ?? '');
    return {
      kind: 'invoice',
      title: invoice.number ? `Invoice ${invoice.number}` : 'A draft of an invoice',
      note: nameInvoice(this.book, invoice).note,
      facts: facts('invoice', [
        ['state', sums.state],
        ['issued_on', this.words.date(invoice.issued_on)],
        ['due_on', this.words.date(invoice.due_on)],
        ['total', money(sums.amount)],
        ['paid', sums.paid ? money(sums.paid) : undefined],
        ['balance', sums.isUnpaid ? money(sums.balance) : undefined],
        ['bill_to', this.words.address(invoice.bill_to)],
        ...this.words.custom('invoice', invoice.custom),
        ['notes', invoice.notes],
      ]),
      tables: [
        table(
          headingOf('invoice', 'lines'),
          ['description', 'amount'].map((key) => headingOf('line', key)),
          (invoice.lines ?? []).map((line) => [line.description ?? '', money(sumLine(line).amount)]),
          { sums: 1 },
        ),
        table(
          headingOf('invoice', 'payments'),
          ['paid_on', 'method', 'amount'].map((key) => headingOf('payment', key)),
          (invoice.payments ?? []).map((payment) => [
            this.words.date(payment.paid_on) ?? '',
            payment.method ?? '',
            money(payment.amount),
          ]),
          { sums: 1 },
        ),
        table(
          'Instalments',
          ['due_on', 'Amount', 'Left'],
          (invoice.instalments ?? []).map((part) => [
            this.words.date(part.due_on) ?? '',
            money(part.amount),
            money(this.book.leftOf(part)),
          ]),
          { sums: 2 },
        ),
      ].filter(({ rows }) => rows.length > 0),
      links: project ? [link('project', project, nameProject(this.book, project))] : [],
      ...this.itsClient(invoice.client),
    };
  }

  /** What the business calls that which the service is done to. */
  private get items(): string {
    return capital(plural(this.book.business.item_label ?? SCHEMA_DEFAULTS.itemLabel));
  }

  private itsClient(key: string | undefined): Pick<RecordView, 'client'> {
    const client = this.book.clients.get(key ?? '');
    return client ? { client: { key: client.key, name: client.name ?? client.key } } : {};
  }
}

function linkToItem(client: string, { key, name, kind }: ItemData): RecordLink {
  return { kind: 'item', key, client, name: name ?? key, note: kind ?? '' };
}

function link(
  kind: RecordLink['kind'],
  { key }: { key: string },
  named: { name: string; note: string },
): RecordLink {
  return { kind, key, ...named };
}

/** Those that say something, under the words that head them; the business's own fields have theirs. */
function facts(kind: RecordKind, all: ([key: string, value: string | undefined] | Fact)[]): Fact[] {
  return all.flatMap((fact) => {
    if (!Array.isArray(fact)) return fact.value ? fact : [];
    const [key, value] = fact;
    return value ? { label: headingOf(kind, key), value } : [];
  });
}

function table(
  title: string,
  columns: string[],
  rows: string[][],
  more: Pick<RecordView['tables'][number], 'sums' | 'links'> = {},
): RecordView['tables'][number] {
  return { title, columns, rows, ...more };
}

function plural(word: string): string {
  return word.endsWith('s') ? word : `${word}s`;
}
