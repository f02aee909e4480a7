import { readDay, type Day } from '../dates/civil';
import type { WorkingDays } from '../dates/workingDays';
import { readMoment, dayAt, type Moment } from '../dates/zone';
import { sumInvoice, type InvoiceSums } from './derive/invoiceSums';
import { bookingWords, type BookingWords } from './bookingWords';
import { SCHEMA_DEFAULTS } from './defaults';
import type {
  BookingData,
  BusinessData,
  ClientData,
  ContactData,
  EnquiryData,
  InstalmentData,
  InvoiceData,
  ItemData,
  MemberData,
  PartnerData,
  ProjectData,
  RecordsFile,
} from './recordsFile';

/**
 * The records of one business with their ways from one to another, at one moment. Collections come in the order
 * of docs/templates.md: bookings by starts_at, invoices by issued_on then number, projects by starts_on, the rest as
 * written. Built once for many fills.
 */
export class RecordBook {
  readonly business: BusinessData;
  readonly zone: string;
  readonly today: Day;
  readonly workingDays: WorkingDays;
  /** what the business calls a booking, and several */
  readonly words: BookingWords;
  readonly members: ReadonlyMap<string, MemberData>;
  readonly partners: ReadonlyMap<string, PartnerData>;
  readonly clients: ReadonlyMap<string, ClientData>;
  readonly enquiries: ReadonlyMap<string, EnquiryData>;
  readonly projects: ReadonlyMap<string, ProjectData>;
  readonly bookings: ReadonlyMap<string, BookingData>;
  readonly invoices: ReadonlyMap<string, InvoiceData>;
  private readonly byClient: Grouped;
  private readonly byProject: Grouped;
  private readonly sums = new WeakMap<InvoiceData, InvoiceSums>();
  /** a letter asks for the sums of one invoice many times */
  private lastInvoice: InvoiceData | undefined;
  private lastSums: InvoiceSums | undefined;
  private left: Map<InstalmentData, number> | undefined;

  /** @param now the moment that "today" and "now" are read from, never the machine's clock */
  constructor(
    file: RecordsFile,
    readonly now: Moment,
  ) {
    this.business = file.business;
    this.zone = file.business.time_zone ?? SCHEMA_DEFAULTS.timeZone;
    this.today = dayAt(now, this.zone);
    this.workingDays = {
      weekdays: new Set(file.business.working_days ?? SCHEMA_DEFAULTS.workingDays),
      holidays: new Set((file.business.holidays ?? []).flatMap((iso) => readDay(iso) ?? [])),
    };
    this.words = bookingWords(file.business.booking_label);
    this.members = byKey(file.members);
    this.partners = byKey(file.partners);
    this.clients = byKey(file.clients);
    this.enquiries = byKey(file.enquiries);
    const projects = sorted(file.projects, (project) => project.starts_on ?? '9999');
    const bookings = sorted(file.bookings, (booking) => startOf(booking));
    const invoices = sorted(file.invoices, (invoice) => invoice.issued_on ?? '9999', numberOf);
    this.projects = byKey(projects);
    this.bookings = byKey(bookings);
    this.invoices = byKey(invoices);
    const enquiries = file.enquiries ?? [];
    this.byClient = group({ projects, bookings, invoices, enquiries }, 'client');
    this.byProject = group({ projects: [], bookings, invoices, enquiries: [] }, 'project');
  }

  ofClient(client: { key: string } | undefined): OwnRecords {
    return (client && this.byClient.get(client.key)) ?? NOTHING;
  }

  ofProject(project: { key: string } | undefined): OwnRecords {
    return (project && this.byProject.get(project.key)) ?? NOTHING;
  }

  /** A booking's items, which belong to its client. */
  itemsOf(booking: BookingData): ItemData[] {
    const own = this.clients.get(booking.client ?? '')?.items ?? [];
    return (booking.items ?? []).flatMap((key) => own.find((item) => item.key === key) ?? []);
  }

  /** A project's contacts, the first one first. */
  contactsOf(project: ProjectData): ContactData[] {
    const own = this.clients.get(project.client ?? '')?.contacts ?? [];
    return (project.contacts ?? []).flatMap((key) => own.find((contact) => contact.key === key) ?? []);
  }

  /** An invoice's sums and state today, worked out once. */
  sumsOf(invoice: InvoiceData): InvoiceSums {
    if (invoice === this.lastInvoice) return this.lastSums!;
    let sums = this.sums.get(invoice);
    if (!sums) this.sums.set(invoice, (sums = sumInvoice(invoice, this.today)));
    this.lastInvoice = invoice;
    return (this.lastSums = sums);
  }

  /** What is left of an instalment, in minor units. */
  leftOf(instalment: InstalmentData): number | undefined {
    this.left ??= new Map(
      [...this.invoices.values()].flatMap((invoice) =>
        (invoice.instalments ?? []).map((part, i) => [part, this.sumsOf(invoice).left[i]!] as const),
      ),
    );
    return this.left.get(instalment);
  }

  unpaid(invoices: readonly InvoiceData[]): InvoiceData[] {
    return invoices.filter((invoice) => this.sumsOf(invoice).isUnpaid);
  }

  outstanding(invoices: readonly InvoiceData[]): number {
    return this.unpaid(invoices).reduce((sum, invoice) => sum + this.sumsOf(invoice).balance, 0);
  }

  /** The first tentative or confirmed booking from now on. */
  nextOf(bookings: readonly BookingData[]): BookingData | undefined {
    return bookings.find(
      (booking) =>
        (booking.status === 'tentative' || booking.status === 'confirmed') && startOf(booking) >= this.now,
    );
  }

  /** The last booking not cancelled before now. */
  lastOf(bookings: readonly BookingData[]): BookingData | undefined {
    return bookings.findLast((booking) => booking.status !== 'cancelled' && startOf(booking) < this.now);
  }
}

/** The records of one client or project, each kind in its order. */
export interface OwnRecords {
  projects: readonly ProjectData[];
  bookings: readonly BookingData[];
  invoices: readonly InvoiceData[];
  enquiries: readonly EnquiryData[];
}

type Grouped = ReadonlyMap<string, OwnRecords>;

const NOTHING: OwnRecords = { projects: [], bookings: [], invoices: [], enquiries: [] };
const parsedStarts = new WeakMap<BookingData, Moment>();

/** When a booking begins; one without a start counts as after all others. */
export function startOf(booking: BookingData): Moment {
  let start = parsedStarts.get(booking);
  if (start === undefined) {
    start = readMoment(booking.starts_at ?? '') ?? Number.MAX_SAFE_INTEGER;
    parsedStarts.set(booking, start);
  }
  return start;
}

function numberOf(a: InvoiceData, b: InvoiceData): number {
  const [x, y] = [a.number ?? a.key, b.number ?? b.key];
  return x.localeCompare(y, 'en', { numeric: true });
}

function byKey<T extends { key: string }>(records: readonly T[] | undefined): ReadonlyMap<string, T> {
  return new Map((records ?? []).map((record) => [record.key, record]));
}

function sorted<T>(
  records: readonly T[] | undefined,
  by: (record: T) => string | number,
  then: (a: T, b: T) => number = () => 0,
): T[] {
  return [...(records ?? [])].sort((a, b) => {
    const [x, y] = [by(a), by(b)];
    return x < y ? -1 : x > y ? 1 : then(a, b);
  });
}

function group(all: OwnRecords, by: 'client' | 'project'): Grouped {
  const groups = new Map<string, { [K in keyof OwnRecords]: OwnRecords[K][number][] }>();
  for (const name of ['projects', 'bookings', 'invoices', 'enquiries'] as const) {
    for (const record of all[name] as readonly { client?: string; project?: string }[]) {
      const owner = record[by];
      if (!owner) continue;
      let own = groups.get(owner);
      if (!own) groups.set(owner, (own = { projects: [], bookings: [], invoices: [], enquiries: [] }));
      (own[name] as unknown[]).push(record);
    }
  }
  return groups;
}
