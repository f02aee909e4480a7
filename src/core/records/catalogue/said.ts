import type { RecordKind } from '../recordKind';

/**
 * What a fact is called beside a letter, under the name of its record, where that is not its label: words that a person
 * would say.
 */
export const SAID: Readonly<Partial<Record<RecordKind, Readonly<Record<string, string>>>>> = {
  business: { payment_details: 'how to pay' },
  member: { given_name: 'given name', full_name: 'name', title: 'what they do' },
  client: {
    greeting_name: 'greeting',
    full_name: 'name',
    outstanding: 'owes in all',
    unpaid_invoices: 'unpaid invoices',
  },
  contact: { greeting_name: 'greeting', full_name: 'name' },
  recipient: { greeting_name: 'greeting', full_name: 'name' },
  enquiry: { received_at: 'came', service: 'asks for', wanted_on: 'would like', message: 'wrote' },
  project: { title: 'what it is', ends_on: 'done by', starts_on: 'begins', hours_booked: 'time booked' },
  booking: {
    service: 'what for',
    starts_at: 'day',
    date: 'day',
    ends_at: 'end',
    end_time: 'until',
    duration: 'takes',
    location: 'where',
    items: 'for',
    price: 'price',
    days_until: 'days until then',
  },
  invoice: {
    issued_on: 'written on',
    due_on: 'due',
    balance: 'still to pay',
    paid: 'paid so far',
    days_overdue: 'overdue by',
    last_paid_on: 'last paid on',
    pay_link: 'where to pay',
    instalments: 'parts',
    net: 'before tax',
  },
  line: { description: 'what', amount: 'with tax', net: 'before tax' },
  payment: { paid_on: 'paid on', method: 'how' },
  instalment: { due_on: 'due', left: 'still to pay' },
};
