import { CHOICES } from '../../core/records/catalogue/choices';
import type { AddressData, Custom } from '../../core/records/recordsFile';
import { date, json, key, maybe, moment, money, oneOf, or, text, uuid, whole } from '../column';

export const PROJECT = {
  business_id: key(uuid()),
  id: key(uuid()),
  key: text(),
  client_id: uuid(),
  title: text(),
  status: oneOf(...CHOICES['project.status']),
  location: maybe(json<AddressData>()),
  starts_on: maybe(date()),
  ends_on: maybe(date()),
  value: maybe(money()),
  notes: maybe(text()),
  responsible_id: maybe(uuid()),
  custom: or(json<Custom>(), {}),
  version: or(whole(), 1),
};

export const PROJECT_CONTACT = {
  business_id: key(uuid()),
  project_id: key(uuid()),
  client_id: uuid(),
  contact_id: key(uuid()),
  position: whole(),
};

export const PROJECT_PARTNER = {
  business_id: key(uuid()),
  project_id: key(uuid()),
  partner_id: key(uuid()),
  position: whole(),
};

export const BOOKING = {
  business_id: key(uuid()),
  id: key(uuid()),
  key: text(),
  client_id: uuid(),
  project_id: maybe(uuid()),
  member_id: maybe(uuid()),
  service: text(),
  status: oneOf(...CHOICES['booking.status']),
  starts_at: moment(),
  ends_at: moment(),
  location: maybe(json<AddressData>()),
  price: maybe(money()),
  notes: maybe(text()),
  custom: or(json<Custom>(), {}),
  version: or(whole(), 1),
  /** of another calendar: tells it when it comes again */
  uid: maybe(text()),
};

export const BOOKING_ITEM = {
  business_id: key(uuid()),
  booking_id: key(uuid()),
  client_id: uuid(),
  item_id: key(uuid()),
  position: whole(),
};
