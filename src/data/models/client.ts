import { CHOICES } from '../../core/records/catalogue/choices';
import type { AddressData, Custom } from '../../core/records/recordsFile';
import { date, dates, json, key, maybe, moment, oneOf, or, text, texts, uuid, whole } from '../column';

export const CLIENT = {
  business_id: key(uuid()),
  id: key(uuid()),
  key: text(),
  kind: oneOf(...CHOICES['client.kind']),
  name: text(),
  given_name: maybe(text()),
  family_name: maybe(text()),
  preferred_name: maybe(text()),
  honorific: maybe(text()),
  email: maybe(text()),
  phone: maybe(text()),
  mobile: maybe(text()),
  address: maybe(json<AddressData>()),
  billing_address: maybe(json<AddressData>()),
  more_phones: or(json<{ use: string; number: string }[]>(), []),
  more_addresses: or(json<{ use: string; address: AddressData }[]>(), []),
  language: maybe(text()),
  tags: or(texts(), []),
  since: maybe(date()),
  source: maybe(text()),
  notes: maybe(text()),
  responsible_id: maybe(uuid()),
  no_letters_since: maybe(date()),
  /** who noted it */
  no_letters_by_id: maybe(uuid()),
  custom: or(json<Custom>(), {}),
  version: or(whole(), 1),
};

export const CONTACT = {
  business_id: key(uuid()),
  id: key(uuid()),
  client_id: uuid(),
  key: text(),
  position: whole(),
  given_name: maybe(text()),
  family_name: maybe(text()),
  preferred_name: maybe(text()),
  honorific: maybe(text()),
  role: maybe(text()),
  email: maybe(text()),
  phone: maybe(text()),
  mobile: maybe(text()),
  uses: or(texts(), []),
};

export const ITEM = {
  business_id: key(uuid()),
  id: key(uuid()),
  client_id: uuid(),
  key: text(),
  position: whole(),
  name: text(),
  kind: maybe(text()),
  notes: maybe(text()),
  custom: or(json<Custom>(), {}),
};

export const ENQUIRY = {
  business_id: key(uuid()),
  id: key(uuid()),
  key: text(),
  client_id: maybe(uuid()),
  received_at: moment(),
  via: maybe(text()),
  name: maybe(text()),
  email: maybe(text()),
  phone: maybe(text()),
  message: maybe(text()),
  service: maybe(text()),
  wanted_on: or(dates(), []),
  status: oneOf(...CHOICES['enquiry.status']),
  version: or(whole(), 1),
};
