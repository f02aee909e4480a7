import { CHOICES } from '../../core/records/catalogue/choices';
import type { AddressData, Custom } from '../../core/records/recordsFile';
import { date, decimal, given, json, key, maybe, money, oneOf, or, text, uuid, whole } from '../column';

export const INVOICE = {
  business_id: key(uuid()),
  id: key(uuid()),
  key: text(),
  /** a draft has none yet */
  number: maybe(text()),
  client_id: uuid(),
  project_id: maybe(uuid()),
  issued_on: maybe(date()),
  due_on: maybe(date()),
  status: oneOf(...CHOICES['invoice.status']),
  bill_to: maybe(json<AddressData>()),
  pay_link: maybe(text()),
  notes: maybe(text()),
  custom: or(json<Custom>(), {}),
  version: or(whole(), 1),
  /** follow the lines and the payments */
  total: or(money(), 0),
  paid: or(money(), 0),
};

export const INVOICE_LINE = {
  business_id: key(uuid()),
  invoice_id: key(uuid()),
  position: key(whole()),
  description: maybe(text()),
  quantity: maybe(decimal()),
  unit_price: maybe(money()),
  tax_rate: maybe(decimal()),
  discount: maybe(decimal()),
  line_amount: given(),
};

export const PAYMENT = {
  business_id: key(uuid()),
  invoice_id: key(uuid()),
  position: key(whole()),
  paid_on: date(),
  amount: money(),
  method: maybe(text()),
  reference: maybe(text()),
};

export const INSTALMENT = {
  business_id: key(uuid()),
  invoice_id: key(uuid()),
  position: key(whole()),
  due_on: date(),
  amount: money(),
};
