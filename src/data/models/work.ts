import { decimal, json, key, maybe, moment, money, or, text, uuid, whole } from '../column';

/** What a business usually does, with its usual length and price. */
export const SERVICE = {
  business_id: key(uuid()),
  id: key(uuid()),
  name: text(),
  minutes: maybe(whole()),
  price: maybe(money()),
  position: whole(),
};

/** A part of a usual payment plan: a share of the invoice, so many days after it was issued. */
export interface PlanPart {
  /** percent */
  share: number;
  days: number;
}

export const PAYMENT_PLAN = {
  business_id: key(uuid()),
  id: key(uuid()),
  name: text(),
  parts: json<PlanPart[]>(),
  position: whole(),
};

export const WORK_WAYS = {
  business_id: key(uuid()),
  travel_minutes: or(whole(), 0),
  /** the hours within which visits are made, “08:00:00” */
  day_from: or(text(), '08:00'),
  day_until: or(text(), '18:00'),
  invoice_prefix: or(text(), ''),
  invoice_next: or(whole(), 1),
  invoice_digits: or(whole(), 1),
  days_to_pay: or(whole(), 14),
  tax_rate: or(decimal(), '0'),
  version: or(whole(), 1),
};

/** A record that was removed, with all that was its own. */
export const REMOVED_RECORD = {
  business_id: key(uuid()),
  id: key(uuid()),
  kind: text(),
  key: text(),
  name: text(),
  member_id: uuid(),
  removed_at: moment(),
  rows: json<Record<string, object[]>>(),
  loosened: json<{ table: string; column: string; was: Record<string, string> }[]>(),
};

/** What was moved when a client that was there twice became one. */
export interface Moved {
  /** the ids of rows by their tables */
  rows: Record<string, string[]>;
  /** people and things as they were: their keys and places */
  parts: Record<string, { id: string; key: string; position: number }[]>;
}

export const MERGED_CLIENT = {
  business_id: key(uuid()),
  id: key(uuid()),
  client_id: uuid(),
  gone: json<object>(),
  before: json<object>(),
  version: whole(),
  moved: json<Moved>(),
  member_id: uuid(),
  merged_at: moment(),
};
