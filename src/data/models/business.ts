import { CHOICES } from '../../core/records/catalogue/choices';
import type { SetUp } from '../../core/contract/settingUp';
import type { AddressData, Custom } from '../../core/records/recordsFile';
import { dates, json, key, maybe, oneOf, or, text, texts, uuid, whole, wholes, yesNo } from '../column';

export const BUSINESS = {
  id: key(uuid()),
  key: text(),
  name: text(),
  legal_name: maybe(text()),
  address: maybe(json<AddressData>()),
  phone: maybe(text()),
  email: maybe(text()),
  website: maybe(text()),
  logo: maybe(text()),
  payment_details: maybe(text()),
  locale: text(),
  time_zone: text(),
  currency: text(),
  hour_cycle: whole(),
  working_days: or(wholes(), [1, 2, 3, 4, 5]),
  holidays: or(dates(), []),
  item_label: text(),
  booking_label: or(text(), 'visit'),
  reminder_spacing: or(whole(), 7),
  hold_after_hours: or(whole(), 6),
  idle_days: or(whole(), 14),
  take_back_seconds: or(whole(), 10),
  same_letter_days: or(whole(), 7),
  device_days: or(whole(), 7),
  /** letters say in the address to which they are answered which one is answered */
  marks_replies: or(yesNo(), false),
  /** letters have a small picture in them that tells when it is shown */
  asks_opened: or(yesNo(), false),
  custom: or(json<Custom>(), {}),
  version: or(whole(), 1),
  set_up: maybe(json<SetUp>()),
  /** its owners may invite others to make a business here */
  invites: or(yesNo(), false),
};

export const CUSTOM_FIELD = {
  business_id: key(uuid()),
  id: key(uuid()),
  record: text(),
  key: text(),
  label: text(),
  type: oneOf(...CHOICES['custom_field.type']),
  choices: maybe(texts()),
  help: maybe(text()),
  position: whole(),
};

export const LINK = {
  business_id: key(uuid()),
  id: key(uuid()),
  key: text(),
  name: text(),
  address: text(),
  position: whole(),
};

export const PARTNER = {
  business_id: key(uuid()),
  id: key(uuid()),
  key: text(),
  name: text(),
  trade: maybe(text()),
  given_name: maybe(text()),
  family_name: maybe(text()),
  email: maybe(text()),
  phone: maybe(text()),
  address: maybe(json<AddressData>()),
  custom: or(json<Custom>(), {}),
  version: or(whole(), 1),
};
