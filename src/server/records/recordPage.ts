import { QueryTypes } from 'sequelize';
import { FILE_OWNERS, type RecordFiles } from '../../core/contract/recordFiles';
import type { Payable } from '../../core/contract/payments';
import { itemView } from '../../core/describe/clientView';
import { recordView } from '../../core/describe/recordView';
import type { RecordView } from '../../core/describe/viewParts';
import type { DayAsked } from '../../core/contract/freeDays';
import type { BookingData } from '../../core/records/recordsFile';
import { readMoment } from '../../core/dates/zone';
import { isoOf } from '../../core/dates/civil';
import { decimalString, minorDigits } from '../../core/money/currency';
import { SCHEMA_DEFAULTS } from '../../core/records/defaults';
import { RecordBook } from '../../core/records/recordBook';
import { situationFrom, type StartingPoint } from '../../core/records/which/situation';
import { moreOfClients } from '../../data/repositories/records/clients';
import { lettersOf, type KeptLetter, type LetterFilter } from '../../data/repositories/letters';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
import { scopeFrom, startingRecord } from '../../data/repositories/startingRecords';
import { now } from '../clock';
import { beforeWriting } from '../../core/addressing/beforeWriting';
import { bouncedAddresses } from '../../data/repositories/bouncedAddresses';
import { connection } from '../connection';
import { recordFiles } from '../files/recordFiles';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';
import { freeDays } from './freeDays';

/** A record as its page has it. */
export interface RecordPage {
  view: RecordView;
  letters: KeptLetter[];
  version: number;
  /** what is to be known before a letter is begun from it, in sentences */
  beforeWriting: string[];
  payable?: Payable;
  /** of a booking */
  booking?: { status: BookingData['status']; isPast: boolean };
  /** of an invoice */
  invoiceStatus?: 'draft' | 'sent' | 'void';
  /** of a client who asked for no letters: who noted it */
  notedBy?: string;
  /** of a client, a project or a booking */
  files?: RecordFiles;
  /** of an enquiry: the days asked for, as they are booked now */
  days?: DayAsked[];
}

/** So many days that were asked for are looked up. */
const MOST_DAYS = 31;
/** So many letters stand on a record's page; the others are in Post. */
const MOST_LETTERS = 50;

/** A record with its facts and its letters. Undefined: there is no such record. */
export const recordPage = forMember(
  async (member: CurrentMember, start: StartingPoint): Promise<RecordPage | undefined> => {
    const { business_id } = member;
    const database = connection();
    const record = await startingRecord(database, business_id, start);
    if (!record) return undefined;
    const filter: LetterFilter =
      start.kind === 'client' ? { client_id: record.id } : { about: { kind: start.kind, id: record.id } };
    const [records, letters] = await Promise.all([
      recordsOfBusiness(database, business_id, scopeFrom(record)),
      lettersOf(database, business_id, filter, MOST_LETTERS),
    ]);
    const book = new RecordBook(records!, now());
    const more =
      start.kind === 'client' ? await moreOfClients(database, business_id, [record.id]) : undefined;
    const view = recordView(book, start, more?.get(start.key));
    if (!view) return undefined;
    const payable = start.kind === 'invoice' ? payableOf(book, start.key, record.version) : undefined;
    return {
      view,
      letters,
      version: record.version,
      beforeWriting: await saidBefore(member, book, start, record.client_id),
      ...(await filesOf(member, start, book)),
      ...(payable ? { payable } : {}),
      ...(await ofItsKind(member, book, start)),
    };
  },
);

async function saidBefore(
  { business_id, key }: CurrentMember,
  book: RecordBook,
  start: StartingPoint,
  client_id: string | null,
): Promise<string[]> {
  const situation = situationFrom(book, start, { sender: book.members.get(key) ?? { key } });
  if (!situation) return [];
  const addresses = situation.recipients.flatMap(({ record }) => record.data.email ?? []);
  const bounced =
    client_id === null ? [] : await bouncedAddresses(connection(), { business_id, client_id }, addresses);
  return beforeWriting(situation, new Set(bounced));
}

async function filesOf(
  member: CurrentMember,
  { kind, key }: StartingPoint,
  book: RecordBook,
): Promise<Pick<RecordPage, 'files'>> {
  const has = FILE_OWNERS.find((one) => one === kind);
  const files = has && (await recordFiles(member, { kind: has, key }, book));
  return files ? { files } : {};
}

async function ofItsKind(
  member: CurrentMember,
  book: RecordBook,
  { kind, key }: StartingPoint,
): Promise<Partial<RecordPage>> {
  switch (kind) {
    case 'booking': {
      const { status, ends_at } = book.bookings.get(key)!;
      return { booking: { status, isPast: (readMoment(ends_at ?? '') ?? Infinity) < book.now } };
    }
    case 'invoice':
      return { invoiceStatus: book.invoices.get(key)!.status as 'draft' };
    case 'client': {
      const noted = await notedBy(member.business_id, key);
      return noted === undefined ? {} : { notedBy: noted };
    }
    case 'enquiry': {
      const days = (book.enquiries.get(key)!.wanted_on ?? []).slice(0, MOST_DAYS);
      const { days: asked } = await freeDays(member, days, { enquiry: key });
      return asked.length > 0 ? { days: asked } : {};
    }
    default:
      return {};
  }
}

/** A client's thing with its facts, what was done to it, and its files. Undefined: there is none of those keys. */
export const itemPage = forMember(
  async (
    member: CurrentMember,
    client: string,
    key: string,
  ): Promise<{ view: RecordView; files: RecordFiles } | undefined> => {
    const { business_id } = member;
    const start = { kind: 'client', key: client } as const;
    const record = await startingRecord(connection(), business_id, start);
    if (!record) return undefined;
    const records = await recordsOfBusiness(connection(), business_id, scopeFrom(record));
    const book = new RecordBook(records!, now());
    const view = itemView(book, client, key);
    const files = await recordFiles(member, { kind: 'item', key, client }, book);
    return view && files && { view, files };
  },
);

async function notedBy(business_id: string, key: string): Promise<string | undefined> {
  const [found] = await connection().sequelize.query<{ name: string }>(
    `select member.full_name as name from client
     join member on member.business_id = client.business_id and member.id = client.no_letters_by_id
     where client.business_id = $business_id and client.key = $key`,
    { bind: { business_id, key }, type: QueryTypes.SELECT },
  );
  return found?.name;
}

function payableOf(book: RecordBook, key: string, version: number): Payable | undefined {
  const { isUnpaid, balance } = book.sumsOf(book.invoices.get(key)!);
  if (!isUnpaid) return undefined;
  const { currency = SCHEMA_DEFAULTS.currency } = book.business;
  return {
    version,
    currency,
    open: decimalString(balance, minorDigits(currency)),
    today: isoOf(book.today),
  };
}
