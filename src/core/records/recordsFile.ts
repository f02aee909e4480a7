import type { CHOICES } from './catalogue/choices';

/**
 * The records of one business, as the application exports them and the command line reads them. Dates are ISO
 * dates, moments ISO with offset, money integers of minor units. An absent, null or empty key is a missing fact.
 */
export interface RecordsFile {
  business: BusinessData;
  members?: MemberData[];
  partners?: PartnerData[];
  clients?: ClientData[];
  enquiries?: EnquiryData[];
  projects?: ProjectData[];
  bookings?: BookingData[];
  invoices?: InvoiceData[];
}

/** What a custom field holds; money as `{"money": 12000}` in minor units. */
export type CustomValue = string | number | boolean | { money: number } | null;
/** Custom fields by their keys. */
export type Custom = Readonly<Record<string, CustomValue>>;

/** An address in its parts, each optional. */
export interface AddressData {
  street?: string[];
  town?: string;
  region?: string;
  postcode?: string;
  country?: string;
}

/** A field the business added to a kind of record. `key` is the last part of its path. */
export interface CustomFieldData {
  record: string;
  key: string;
  label: string;
  type: (typeof CHOICES)['custom_field.type'][number];
  choices?: string[];
  /** what helps to write it */
  help?: string;
}

/** A link of the business, a path of its own: `links.review`. */
export interface LinkData {
  key: string;
  name: string;
  address: string;
}

/** The business itself. */
export interface BusinessData {
  name?: string;
  legal_name?: string;
  address?: AddressData;
  phone?: string;
  email?: string;
  website?: string;
  logo?: string;
  payment_details?: string;
  links?: LinkData[];
  locale?: string;
  time_zone?: string;
  currency?: string;
  hour_cycle?: number;
  working_days?: number[];
  holidays?: string[];
  item_label?: string;
  /** what the business calls a booking, as "visit" */
  booking_label?: string;
  custom?: Custom;
  /** definitions of the custom fields; where absent, what the records have defines them */
  custom_fields?: CustomFieldData[];
}

/** A member of the business. */
export interface MemberData {
  key: string;
  given_name?: string;
  family_name?: string;
  full_name?: string;
  title?: string;
  phone?: string;
  mobile?: string;
  email?: string;
  picture?: string;
  signature?: string;
  custom?: Custom;
}

/** An outside supplier, subcontractor or agent. */
export interface PartnerData {
  key: string;
  name?: string;
  trade?: string;
  given_name?: string;
  family_name?: string;
  email?: string;
  phone?: string;
  address?: AddressData;
  custom?: Custom;
}

/** What names and reaches a person. */
export interface PersonData {
  given_name?: string;
  family_name?: string;
  preferred_name?: string;
  honorific?: string;
  email?: string;
  phone?: string;
  mobile?: string;
}

/** A client, with their people and things. */
export interface ClientData extends PersonData {
  key: string;
  kind?: string;
  name?: string;
  address?: AddressData;
  billing_address?: AddressData;
  language?: string;
  tags?: string[];
  since?: string;
  source?: string;
  notes?: string;
  responsible?: string;
  /** the day on which they asked for no letters */
  no_letters_since?: string;
  custom?: Custom;
  contacts?: ContactData[];
  items?: ItemData[];
  files?: string[];
}

/** A person at a client. */
export interface ContactData extends PersonData {
  key: string;
  role?: string;
  uses?: string[];
}

/** A thing that the service is done to. */
export interface ItemData {
  key: string;
  name?: string;
  kind?: string;
  notes?: string;
  custom?: Custom;
}

/** Somebody asked for something. */
export interface EnquiryData {
  key: string;
  received_at?: string;
  via?: string;
  name?: string;
  email?: string;
  phone?: string;
  message?: string;
  service?: string;
  wanted_on?: string[];
  status?: string;
  client?: string;
}

/** A job; others are named by their keys. */
export interface ProjectData {
  key: string;
  client?: string;
  title?: string;
  status?: string;
  location?: AddressData;
  starts_on?: string;
  ends_on?: string;
  value?: number;
  notes?: string;
  responsible?: string;
  contacts?: string[];
  partners?: string[];
  custom?: Custom;
  files?: string[];
}

/** A visit; others are named by their keys. */
export interface BookingData {
  key: string;
  client?: string;
  project?: string;
  service?: string;
  status?: string;
  starts_at?: string;
  ends_at?: string;
  location?: AddressData;
  price?: number;
  member?: string;
  items?: string[];
  notes?: string;
  custom?: Custom;
}

/** A line of an invoice; money in minor units. */
export interface LineData {
  description?: string;
  quantity?: number | string;
  unit_price?: number;
  tax_rate?: number | string;
  discount?: number | string;
}

/** A payment of an invoice; money in minor units. */
export interface PaymentData {
  paid_on?: string;
  amount?: number;
  method?: string;
  reference?: string;
}

/** A part in which an invoice is paid; money in minor units. */
export interface InstalmentData {
  due_on?: string;
  amount?: number;
}

/** An invoice with its lines and payments; others are named by their keys. */
export interface InvoiceData {
  key: string;
  number?: string;
  client?: string;
  project?: string;
  issued_on?: string;
  due_on?: string;
  status?: string;
  bill_to?: AddressData;
  pay_link?: string;
  notes?: string;
  lines?: LineData[];
  payments?: PaymentData[];
  instalments?: InstalmentData[];
  custom?: Custom;
}
