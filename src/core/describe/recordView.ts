import type { MoreOfClient } from '../contract/records/client';
import type { RecordBook } from '../records/recordBook';
import { sumLine } from '../records/derive/invoiceSums';
import type { BookingData, EnquiryData, InvoiceData, ProjectData } from '../records/recordsFile';
import type { StartingPoint } from '../records/which/situation';
import { FactWords } from './factWords';
import { headingOf } from './headings';
import { clientView } from './clientView';
import { nameBooking, nameInvoice, nameProject } from './nameRecord';
import { facts, itemsCalled, itsClient, link, linkToItem, table, type RecordView } from './viewParts';

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
      return client && clientView(book, client, more);
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
      ...itsClient(this.book, enquiry.client),
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
      ...itsClient(this.book, project.client),
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
      items: itemsCalled(this.book),
      links: [
        ...items.map((item) => linkToItem(booking.client ?? '', item)),
        ...(project ? [link('project', project, nameProject(this.book, project))] : []),
      ],
      ...itsClient(this.book, booking.client),
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
      ...itsClient(this.book, invoice.client),
    };
  }
}
