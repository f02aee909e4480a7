import type { RecordKind } from '../recordKind';
import { BUSINESS, MEMBER, PARTNER } from './business';
import { CLIENT, CONTACT, ENQUIRY, ITEM, RECIPIENT } from './client';
import type { FieldDefinition } from './field';
import { BOOKING, INSTALMENT, INVOICE, LINE, PAYMENT, PROJECT } from './work';

/** Every field that every business has, by record kind. Custom fields and links come from the business's schema. */
export const CATALOGUE: Readonly<Record<RecordKind, ReadonlyMap<string, FieldDefinition>>> = {
  business: byKey(BUSINESS),
  member: byKey(MEMBER),
  client: byKey(CLIENT),
  contact: byKey(CONTACT),
  recipient: byKey(RECIPIENT),
  partner: byKey(PARTNER),
  item: byKey(ITEM),
  enquiry: byKey(ENQUIRY),
  project: byKey(PROJECT),
  booking: byKey(BOOKING),
  invoice: byKey(INVOICE),
  line: byKey(LINE),
  payment: byKey(PAYMENT),
  instalment: byKey(INSTALMENT),
};

/** The records that may carry custom fields. */
export const CUSTOMISABLE: readonly RecordKind[] = [
  'business',
  'member',
  'client',
  'partner',
  'item',
  'project',
  'booking',
  'invoice',
];

/** The parts of an address, each a path of its own. */
export const ADDRESS_PARTS: Readonly<Record<string, string>> = {
  street: 'street',
  town: 'town',
  region: 'region',
  postcode: 'postcode',
  country: 'country',
};

function byKey(fields: FieldDefinition[]): ReadonlyMap<string, FieldDefinition> {
  return new Map(fields.map((field) => [field.key, field]));
}
