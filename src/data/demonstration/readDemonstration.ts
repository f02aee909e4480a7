import { createHash } from 'node:crypto';
import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';
import { parse } from 'yaml';
import { dayAt, readMoment } from '../../core/dates/zone';
import { checkRecords } from '../../core/records/read/checkRecords';
import type {
  BookingData,
  BusinessData,
  ClientData,
  CustomFieldData,
  EnquiryData,
  InvoiceData,
  MemberData,
  PartnerData,
  ProjectData,
  RecordsFile,
} from '../../core/records/recordsFile';
import { inWords } from '../../core/problems/problem';
import type { Passage, Signature, Template } from '../../core/template/template';
import { readPassage, readTemplate } from '../../core/template/text/readTemplate';
import { keyOfName } from '../../core/template/keyOfName';
import { wordsOfSignature } from '../../core/template/wordsOfSignature';
import { isoMoment } from '../../core/dates/zone';
import type { RowOf } from '../column';
import type { WORK_WAYS } from '../models/work';
import { readTexts } from '../readTexts';
import type { Rows } from '../rows';
import type { ShippedGroup } from '../starters/templateRows';
import { relativeDay, type Anchor } from './relativeDay';

interface DemonstrationMember extends MemberData {
  role: 'owner' | 'member';
  password: string;
}

/** As it stands in the file: its words in text form. */
interface WrittenSignature {
  name: string;
  /** null: the house's */
  member: string | null;
  is_default?: boolean;
  text: string;
}

interface DemonstrationMessage {
  key: string;
  direction: 'out' | 'in';
  status: string;
  at: string;
  client?: string;
  member?: string;
  template?: string;
  /** `invoice:LPC-1048` */
  about?: string;
  thread: string;
  /** of one that came in */
  from?: { name: string; address: string };
  /** the key of the message that it answers */
  answers?: string;
  /** the key of who has dealt with it */
  settled_by?: string;
  subject: string;
  text: string;
  reason?: string;
  recipients: { role: string; name: string; address: string }[];
  events?: { kind: string; at: string; detail?: string }[];
}

/** The demonstration business, its days laid relative to the day it is loaded. */
export interface Demonstration {
  records: RecordsFile;
  members: DemonstrationMember[];
  groups: ShippedGroup[];
  signatures: Signature[];
  messages: DemonstrationMessage[];
  templates: Template[];
  passages: Passage[];
  /** the house's, called by their characters */
  shorthand: Passage[];
  files: DemonstrationFile[];
  services: Rows['service'];
  plans: Rows['payment_plan'];
  ways: Partial<RowOf<typeof WORK_WAYS>>;
}

/** A picture; the records name it by its SHA-256 as they do in the database, the data files by its name. */
interface DemonstrationFile {
  sha256: string;
  media_type: string;
  content: Buffer;
}

/**
 * Reads the data files beside this one. The same moment gives the same data.
 * @param folder where the files are
 * @param now the moment that "today" in the files is read from
 * @throws when a file does not read or breaks the rules of the records, naming the place
 */
export async function readDemonstration(folder: string, now: number): Promise<Demonstration> {
  const house = (await readYaml(folder, 'business.yaml')) as {
    business: BusinessData;
    members: DemonstrationMember[];
    partners: PartnerData[];
    custom_fields: CustomFieldData[];
    groups: ShippedGroup[];
    signatures: WrittenSignature[];
    services: NonNullable<Rows['service']>;
    payment_plans: NonNullable<Rows['payment_plan']>;
    work_ways: Demonstration['ways'];
  };
  const zone = house.business.time_zone ?? 'Europe/London';
  const { files, named } = await readFiles(path.join(folder, 'files'));
  const { logo, ...business } = house.business;
  const anchor: Anchor = { today: dayAt(now, zone), zone };
  const list = async <T>(name: string) => laid(await readYaml(folder, `${name}.yaml`), anchor) as T[];
  const clients = await list<ClientData>('clients');
  const signatures = house.signatures.map(readSignature);
  const records: RecordsFile = {
    business: {
      ...(laid(business, anchor) as BusinessData),
      ...(logo ? { logo: named(logo) } : {}),
      custom_fields: house.custom_fields,
    },
    members: house.members.map(({ role: _role, password: _password, ...member }) => {
      const own = signatures.find((one) => one.member === member.key && one.usual);
      return own ? { ...member, signature: wordsOfSignature(own.document) } : member;
    }),
    partners: house.partners,
    clients,
    enquiries: await list<EnquiryData>('enquiries'),
    projects: await list<ProjectData>('projects'),
    bookings: (await list<BookingRow>('bookings')).map((row) => asBooking(row, clients, zone)),
    invoices: (await list<InvoiceData>('invoices')).map((invoice) => billed(invoice, clients)),
  };
  const wrong = checkRecords(records);
  if (wrong.length) {
    throw new Error(wrong.map(({ path: at, message }) => `${at.join('.')}: ${message}`).join('\n'));
  }
  return {
    records,
    members: house.members,
    groups: house.groups,
    signatures,
    messages: await list<DemonstrationMessage>('messages'),
    templates: await readTexts(path.join(folder, 'templates'), readTemplate),
    passages: await readTexts(path.join(folder, 'passages'), readNamed),
    shorthand: await readTexts(path.join(folder, 'shorthand'), readNamed),
    files,
    services: house.services,
    plans: house.payment_plans,
    ways: house.work_ways,
  };
}

function readNamed(text: string, file: string) {
  return readPassage(text, file, path.basename(file, '.md'));
}

function readSignature({ name, member, is_default: usual = false, text }: WrittenSignature): Signature {
  const reading = readPassage(text, 'business.yaml', name);
  if (!reading.value) throw new Error(reading.problems.map(inWords).join('\n'));
  const { document } = reading.value;
  return { key: keyOfName(name, 'signature'), name, ...(member === null ? {} : { member }), usual, document };
}

async function readFiles(folder: string) {
  const names = await readdir(folder);
  const files = await Promise.all(
    names.map(async (name): Promise<DemonstrationFile> => {
      const content = await readFile(path.join(folder, name));
      const sha256 = createHash('sha256').update(content).digest('hex');
      return { sha256, media_type: 'image/png', content };
    }),
  );
  const named = (name: string) => {
    const file = files[names.indexOf(name)];
    if (!file) throw new Error(`business.yaml: There is no file “${name}”.`);
    return file.sha256;
  };
  return { files, named };
}

async function readYaml(folder: string, name: string): Promise<unknown> {
  return parse(await readFile(path.join(folder, name), 'utf8'));
}

/** The same value with every relative day made a date. */
function laid(value: unknown, anchor: Anchor): unknown {
  if (typeof value === 'string') return relativeDay(value, anchor) ?? value;
  if (Array.isArray(value)) return value.map((item) => laid(item, anchor));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, item]) => [key, laid(item, anchor)]));
}

type BookingRow = Omit<BookingData, 'ends_at'> & { minutes: number };

/** A visit is at the client's address unless the file says another. */
function asBooking({ minutes, ...row }: BookingRow, clients: ClientData[], zone: string): BookingData {
  const location = row.location ?? clients.find((client) => client.key === row.client)?.address;
  const ends_at = isoMoment(readMoment(row.starts_at!)! + minutes * 60_000, zone);
  return { ...row, ends_at, ...(location ? { location } : {}) };
}

function billed(invoice: InvoiceData, clients: ClientData[]): InvoiceData {
  const client = clients.find(({ key }) => key === invoice.client);
  const bill_to = client?.billing_address ?? client?.address;
  return { ...invoice, ...(bill_to ? { bill_to } : {}) };
}
