import { capital } from './capital';
import type { RecordBook } from '../records/recordBook';
import { SCHEMA_DEFAULTS } from '../records/defaults';
import { sumLine } from '../records/derive/invoiceSums';
import { fullName } from '../people/names';
import type { BookingData, ClientData, EnquiryData, InvoiceData, ProjectData } from '../records/recordsFile';
import type { StartingPoint } from '../records/which/situation';
import { FactWords } from './factWords';
import { nameBooking, nameInvoice, nameProject } from './nameRecord';

/** A record as its page shows it: what it is called, its facts in order, and what hangs on it. */
export interface RecordView {
  /** the kind in words: "visit" */
  kind: string;
  title: string;
  note: string;
  facts: Fact[];
  /** lines, payments, items, people: each a short table; so many of its last columns are sums */
  tables: { title: string; columns: string[]; rows: string[][]; sums?: 1 | 2 }[];
  /** other records it leads to */
  links: RecordLink[];
  client?: { key: string; name: string };
}

interface Fact {
  label: string;
  value: string;
}

interface RecordLink {
  kind: 'project' | 'booking' | 'invoice' | 'enquiry';
  key: string;
  name: string;
  note: string;
}

/** Undefined: there is no such record. */
export function recordView(book: RecordBook, { kind, key }: StartingPoint): RecordView | undefined {
  const view = new View(book);
  switch (kind) {
    case 'client': {
      const client = book.clients.get(key);
      return client && view.client(client);
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

  client(client: ClientData): RecordView {
    const { projects, bookings, invoices, enquiries } = this.book.ofClient(client);
    const unpaid = this.book.outstanding(invoices);
    return {
      kind: 'client',
      title: client.name ?? client.key,
      note: [client.kind, client.address?.town].filter(Boolean).join(', '),
      facts: facts([
        ['Still open', unpaid ? this.words.money(unpaid) : undefined],
        ['Email', client.email],
        ['Telephone', this.words.phone(client.phone)],
        ['Mobile', this.words.phone(client.mobile)],
        ['Address', this.words.address(client.address)],
        ['Invoices to', this.words.address(client.billing_address)],
        ['Called', client.preferred_name],
        ['Writes', client.language],
        ['Client since', this.words.date(client.since)],
        ['Looked after by', this.words.member(client.responsible)],
        ['Tags', client.tags?.join(', ')],
        ...this.words.custom('client', client.custom),
        ['Notes', client.notes],
      ]),
      tables: [
        table(
          'People',
          ['Name', 'Role', 'Email', 'Telephone'],
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
          capital(plural(this.book.business.item_label ?? SCHEMA_DEFAULTS.itemLabel)),
          ['Name', 'What', 'Facts'],
          (client.items ?? []).map((item) => [
            item.name ?? '',
            item.kind ?? '',
            this.words
              .custom('item', item.custom)
              .map(([label, value]) => `${label}: ${value}`)
              .join(', '),
          ]),
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

  enquiry(enquiry: EnquiryData): RecordView {
    return {
      kind: 'enquiry',
      title: this.book.clients.get(enquiry.client ?? '')?.name ?? enquiry.name ?? enquiry.email ?? 'Enquiry',
      note: [enquiry.service, enquiry.status].filter(Boolean).join(', '),
      facts: facts([
        ['Received', this.words.moment(enquiry.received_at)],
        ['By', enquiry.via],
        ['Name', enquiry.name],
        ['Email', enquiry.email],
        ['Telephone', this.words.phone(enquiry.phone)],
        ['Days asked for', (enquiry.wanted_on ?? []).map((day) => this.words.date(day)).join(', ')],
        ['Message', enquiry.message],
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
      facts: facts([
        ['Begins', this.words.date(project.starts_on)],
        ['Ends', this.words.date(project.ends_on)],
        ['Value', this.words.money(project.value)],
        ['Where', this.words.address(project.location)],
        ['Looked after by', this.words.member(project.responsible)],
        ...this.words.custom('project', project.custom),
        ['Notes', project.notes],
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
      facts: facts([
        ['Begins', this.words.moment(booking.starts_at)],
        ['Ends', this.words.time(booking.ends_at)],
        ['State', booking.status],
        ['Who comes', this.words.member(booking.member)],
        ['Where', this.words.address(booking.location)],
        ['Price', this.words.money(booking.price)],
        [
          capital(plural(this.book.business.item_label ?? SCHEMA_DEFAULTS.itemLabel)),
          items.map((item) => item.name).join(', '),
        ],
        ...this.words.custom('booking', booking.custom),
        ['Notes', booking.notes],
      ]),
      tables: [],
      links: project ? [link('project', project, nameProject(this.book, project))] : [],
      ...this.itsClient(booking.client),
    };
  }

  invoice(invoice: InvoiceData): RecordView {
    const sums = this.book.sumsOf(invoice);
    const money = (amount: number | undefined) => this.words.money(amount) ?? '';
    const project = this.book.projects.get(invoice.project ?? '');
    return {
      kind: 'invoice',
      title: `Invoice ${invoice.number ?? invoice.key}`,
      note: nameInvoice(this.book, invoice).note,
      facts: facts([
        ['State', sums.state],
        ['Issued', this.words.date(invoice.issued_on)],
        ['Due', this.words.date(invoice.due_on)],
        ['Total', money(sums.amount)],
        ['Paid', sums.paid ? money(sums.paid) : undefined],
        ['Still open', sums.isUnpaid ? money(sums.balance) : undefined],
        ['To', this.words.address(invoice.bill_to)],
        ...this.words.custom('invoice', invoice.custom),
        ['Notes', invoice.notes],
      ]),
      tables: [
        table(
          'Lines',
          ['What', 'Amount'],
          (invoice.lines ?? []).map((line) => [line.description ?? '', money(sumLine(line).amount)]),
          1,
        ),
        table(
          'Payments',
          ['On', 'By', 'Amount'],
          (invoice.payments ?? []).map((payment) => [
            this.words.date(payment.paid_on) ?? '',
            payment.method ?? '',
            money(payment.amount),
          ]),
          1,
        ),
        table(
          'Instalments',
          ['Due', 'Amount', 'Left'],
          (invoice.instalments ?? []).map((part) => [
            this.words.date(part.due_on) ?? '',
            money(part.amount),
            money(this.book.leftOf(part)),
          ]),
          2,
        ),
      ].filter(({ rows }) => rows.length > 0),
      links: project ? [link('project', project, nameProject(this.book, project))] : [],
      ...this.itsClient(invoice.client),
    };
  }

  private itsClient(key: string | undefined): Pick<RecordView, 'client'> {
    const client = this.book.clients.get(key ?? '');
    return client ? { client: { key: client.key, name: client.name ?? client.key } } : {};
  }
}

function link(
  kind: RecordLink['kind'],
  { key }: { key: string },
  named: { name: string; note: string },
): RecordLink {
  return { kind, key, ...named };
}

function facts(all: [string, string | undefined][]): Fact[] {
  return all.flatMap(([label, value]) => (value ? [{ label, value }] : []));
}

function table(
  title: string,
  columns: string[],
  rows: string[][],
  sums?: 1 | 2,
): RecordView['tables'][number] {
  return { title, columns, rows, ...(sums ? { sums } : {}) };
}

function plural(word: string): string {
  return word.endsWith('s') ? word : `${word}s`;
}
