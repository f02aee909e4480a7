import { readDay } from '../dates/civil';
import { readMoment, wallClockOf } from '../dates/zone';
import { addressLines } from '../fill/formats/address';
import type { Formats } from '../fill/formats/formats';
import { formatsOf } from '../fill/formats/formatsOf';
import { phoneNumber } from '../fill/formats/phone';
import { fullName } from '../people/names';
import { SCHEMA_DEFAULTS } from '../records/defaults';
import { sumLine } from '../records/derive/invoiceSums';
import type { RecordBook } from '../records/recordBook';
import type {
  AddressData,
  BookingData,
  ClientData,
  Custom,
  CustomValue,
  EnquiryData,
  InvoiceData,
  ProjectData,
} from '../records/recordsFile';
import type { StartingPoint } from '../records/which/situation';
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

export interface Fact {
  label: string;
  value: string;
}

export interface RecordLink {
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
  private readonly formats: Formats;
  private readonly home: string;

  constructor(private readonly book: RecordBook) {
    this.formats = formatsOf(book);
    this.home = book.business.locale ?? SCHEMA_DEFAULTS.locale;
  }

  client(client: ClientData): RecordView {
    const { projects, bookings, invoices, enquiries } = this.book.ofClient(client);
    const unpaid = this.book.outstanding(invoices);
    return {
      kind: 'client',
      title: client.name ?? client.key,
      note: [client.kind, client.address?.town].filter(Boolean).join(', '),
      facts: facts([
        ['Still open', unpaid ? this.formats.money(unpaid) : undefined],
        ['Email', client.email],
        ['Telephone', this.phone(client.phone)],
        ['Mobile', this.phone(client.mobile)],
        ['Address', this.address(client.address)],
        ['Invoices to', this.address(client.billing_address)],
        ['Called', client.preferred_name],
        ['Writes', client.language],
        ['Client since', this.date(client.since)],
        ['Looked after by', this.member(client.responsible)],
        ['Tags', client.tags?.join(', ')],
        ...this.custom('client', client.custom),
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
            this.phone(contact.phone ?? contact.mobile) ?? '',
          ]),
        ),
        table(
          capital(plural(this.book.business.item_label ?? SCHEMA_DEFAULTS.itemLabel)),
          ['Name', 'What', 'Facts'],
          (client.items ?? []).map((item) => [
            item.name ?? '',
            item.kind ?? '',
            this.custom('item', item.custom)
              .map(([label, value]) => `${label}: ${value}`)
              .join(', '),
          ]),
        ),
      ].filter(({ rows }) => rows.length > 0),
      links: [
        ...enquiries.map((one) => this.link('enquiry', one.key, one.service ?? 'Enquiry', one.status ?? '')),
        ...[...projects].reverse().map((one) => this.named('project', one.key, nameProject(this.book, one))),
        ...[...bookings].reverse().map((one) => this.named('booking', one.key, nameBooking(this.book, one))),
        ...[...invoices].reverse().map((one) => this.named('invoice', one.key, nameInvoice(this.book, one))),
      ],
    };
  }

  enquiry(enquiry: EnquiryData): RecordView {
    return {
      kind: 'enquiry',
      title: this.clientName(enquiry.client) ?? enquiry.name ?? enquiry.email ?? 'Enquiry',
      note: [enquiry.service, enquiry.status].filter(Boolean).join(', '),
      facts: facts([
        ['Received', this.moment(enquiry.received_at)],
        ['By', enquiry.via],
        ['Name', enquiry.name],
        ['Email', enquiry.email],
        ['Telephone', this.phone(enquiry.phone)],
        ['Days asked for', (enquiry.wanted_on ?? []).map((day) => this.date(day)).join(', ')],
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
        ['Begins', this.date(project.starts_on)],
        ['Ends', this.date(project.ends_on)],
        ['Value', project.value === undefined ? undefined : this.formats.money(project.value)],
        ['Where', this.address(project.location)],
        ['Looked after by', this.member(project.responsible)],
        ...this.custom('project', project.custom),
        ['Notes', project.notes],
      ]),
      tables: [],
      links: [
        ...[...bookings].reverse().map((one) => this.named('booking', one.key, nameBooking(this.book, one))),
        ...[...invoices].reverse().map((one) => this.named('invoice', one.key, nameInvoice(this.book, one))),
      ],
      ...this.itsClient(project.client),
    };
  }

  booking(booking: BookingData): RecordView {
    const items = this.book.itemsOf(booking);
    const project = this.book.projects.get(booking.project ?? '');
    const ends = readMoment(booking.ends_at ?? '');
    const { name, note } = nameBooking(this.book, booking);
    return {
      kind: 'visit',
      title: name,
      note,
      facts: facts([
        ['Begins', this.moment(booking.starts_at)],
        ['Ends', ends === undefined ? undefined : this.formats.time(ends)],
        ['State', booking.status],
        ['Who comes', this.member(booking.member)],
        ['Where', this.address(booking.location)],
        ['Price', booking.price === undefined ? undefined : this.formats.money(booking.price)],
        [
          capital(plural(this.book.business.item_label ?? SCHEMA_DEFAULTS.itemLabel)),
          items.map((item) => item.name).join(', '),
        ],
        ...this.custom('booking', booking.custom),
        ['Notes', booking.notes],
      ]),
      tables: [],
      links: project ? [this.named('project', project.key, nameProject(this.book, project))] : [],
      ...this.itsClient(booking.client),
    };
  }

  invoice(invoice: InvoiceData): RecordView {
    const sums = this.book.sumsOf(invoice);
    const money = (amount: number | undefined) => (amount === undefined ? '' : this.formats.money(amount));
    const project = this.book.projects.get(invoice.project ?? '');
    return {
      kind: 'invoice',
      title: `Invoice ${invoice.number ?? invoice.key}`,
      note: nameInvoice(this.book, invoice).note,
      facts: facts([
        ['State', sums.state],
        ['Issued', this.date(invoice.issued_on)],
        ['Due', this.date(invoice.due_on)],
        ['Total', money(sums.amount)],
        ['Paid', sums.paid ? money(sums.paid) : undefined],
        ['Still open', sums.isUnpaid ? money(sums.balance) : undefined],
        ['To', this.address(invoice.bill_to)],
        ...this.custom('invoice', invoice.custom),
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
            this.date(payment.paid_on) ?? '',
            payment.method ?? '',
            money(payment.amount),
          ]),
          1,
        ),
        table(
          'Instalments',
          ['Due', 'Amount', 'Left'],
          (invoice.instalments ?? []).map((part) => [
            this.date(part.due_on) ?? '',
            money(part.amount),
            money(this.book.leftOf(part)),
          ]),
          2,
        ),
      ].filter(({ rows }) => rows.length > 0),
      links: project ? [this.named('project', project.key, nameProject(this.book, project))] : [],
      ...this.itsClient(invoice.client),
    };
  }

  private itsClient(key: string | undefined): Pick<RecordView, 'client'> {
    const client = this.book.clients.get(key ?? '');
    return client ? { client: { key: client.key, name: client.name ?? client.key } } : {};
  }

  private clientName(key: string | undefined): string | undefined {
    return this.book.clients.get(key ?? '')?.name;
  }

  private named(
    kind: RecordLink['kind'],
    key: string,
    { name, note }: { name: string; note: string },
  ): RecordLink {
    return this.link(kind, key, name, note);
  }

  private link(kind: RecordLink['kind'], key: string, name: string, note: string): RecordLink {
    return { kind, key, name, note };
  }

  private member(key: string | undefined): string | undefined {
    const member = this.book.members.get(key ?? '');
    return member && fullName(member);
  }

  private date(iso: string | undefined): string | undefined {
    const day = readDay(iso ?? '');
    return day === undefined ? undefined : this.formats.date(day, 'date');
  }

  private moment(iso: string | undefined): string | undefined {
    const moment = readMoment(iso ?? '');
    if (moment === undefined) return undefined;
    const day = wallClockOf(moment, this.book.zone).day;
    return `${this.formats.date(day, 'long date')} at ${this.formats.time(moment)}`;
  }

  private address(address: AddressData | undefined): string | undefined {
    return address && addressLines(address, this.home).join(', ');
  }

  private phone(number: string | undefined): string | undefined {
    return number && phoneNumber(number, 'local', this.home);
  }

  private custom(record: string, values: Custom | undefined): [string, string | undefined][] {
    const fields = (this.book.business.custom_fields ?? []).filter((field) => field.record === record);
    return fields.flatMap(({ key, label }): [string, string | undefined][] => {
      const value = values?.[key];
      return value === undefined || value === null ? [] : [[label, this.customValue(value)]];
    });
  }

  private customValue(value: NonNullable<CustomValue>): string {
    if (typeof value === 'boolean') return value ? 'yes' : 'no';
    if (typeof value === 'number') return String(value);
    if (typeof value === 'object') return this.formats.money(value.money);
    return this.date(value) ?? value;
  }
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

function capital(word: string): string {
  return word.charAt(0).toUpperCase() + word.slice(1);
}

function plural(word: string): string {
  return word.endsWith('s') ? word : `${word}s`;
}
