import { collection, record, scalar } from '../fieldType';
import { choicesInWords } from './choices';
import { derived, references, stored, type FieldDefinition } from './field';

const text = scalar('text');
const date = scalar('date');
const moment = scalar('moment');
const money = scalar('money');
const number = scalar('number');
const yesNo = scalar('yes/no');
const many = (kind: Parameters<typeof record>[0]) => collection(record(kind));

const OF_CLIENT = references(['client', 'client', 'Who it is for', record('client'), 'client']);
const OF_PROJECT = references([
  'project',
  'project',
  'The project it belongs to',
  record('project'),
  'project',
]);

/** The fields of a project. */
export const PROJECT = [
  ...stored(
    ['title', 'title', 'What the project is called', text],
    ['status', 'status', choicesInWords('project.status'), text],
    ['location', 'location', 'Where the work is done', scalar('address')],
    ['starts_on', 'start', 'The day the project begins', date],
    ['ends_on', 'end', 'The day the project ends', date],
    ['value', 'value', 'What the project is worth', money],
    ['notes', 'notes', 'Notes about the project, for the team', scalar('long text')],
    ['files', 'files', 'Files kept with the project', collection(scalar('file'))],
  ),
  ...OF_CLIENT,
  ...references(
    ['responsible', 'responsible', 'Who looks after the project', record('member'), 'member'],
    ['contacts', 'contacts', 'The people for this project, the first one first', many('contact'), 'contact'],
    ['partners', 'partners', 'Partners who work on it', many('partner'), 'partner'],
  ),
  ...derived(
    ['next_booking', 'next booking', 'The project’s next visit', record('booking')],
    ['last_booking', 'last booking', 'The project’s last visit', record('booking')],
    ['bookings', 'bookings', 'The project’s bookings', many('booking')],
    ['invoices', 'invoices', 'The project’s invoices', many('invoice')],
    ['unpaid_invoices', 'unpaid invoices', 'Invoices that are open, part paid or overdue', many('invoice')],
    ['outstanding', 'outstanding', 'All that is still owed for the project', money],
    ['hours_booked', 'hours booked', 'The length of all its visits together', scalar('duration')],
  ),
];

const END_TIME: FieldDefinition = {
  key: 'end_time',
  label: 'end time',
  description: 'When the visit ends',
  type: moment,
  derived: true,
  shownAs: 'time',
};

/** The fields of a booking. */
export const BOOKING = [
  ...stored(
    ['service', 'service', 'What the visit is for', text],
    ['status', 'status', choicesInWords('booking.status'), text],
    ['starts_at', 'start', 'When the visit begins', moment],
    ['ends_at', 'end', 'When the visit ends', moment],
    ['location', 'location', 'Where the visit is', scalar('address')],
    ['price', 'price', 'What the visit costs', money],
    ['notes', 'notes', 'Notes about the visit, for the team', scalar('long text')],
  ),
  ...OF_CLIENT,
  ...OF_PROJECT,
  ...references(
    ['member', 'member', 'Who comes', record('member'), 'member'],
    ['items', 'items', 'The items the visit is for', many('item'), 'item'],
  ),
  ...derived(
    ['date', 'date', 'The day of the visit', date],
    ['duration', 'duration', 'How long the visit takes', scalar('duration')],
    ['is_past', 'is past', 'Whether the visit is over', yesNo],
    ['days_until', 'days until', 'Days from today to the visit', number],
  ),
  END_TIME,
];

/** The fields of an invoice. */
export const INVOICE = [
  ...stored(
    ['number', 'number', 'The invoice’s number', text],
    ['issued_on', 'issued', 'The day on the invoice', date],
    ['due_on', 'due date', 'The day it is to be paid by', date],
    ['status', 'status', choicesInWords('invoice.status'), text],
    ['bill_to', 'bill to', 'The address on the invoice', scalar('address')],
    ['pay_link', 'pay link', 'Where it can be paid', scalar('link')],
    ['notes', 'notes', 'Notes about the invoice, for the team', scalar('long text')],
    ['lines', 'lines', 'What is charged, line by line', many('line')],
    ['payments', 'payments', 'What was paid, and when', many('payment')],
    ['instalments', 'instalments', 'The parts it may be paid in', many('instalment')],
  ),
  ...OF_CLIENT,
  ...OF_PROJECT,
  ...derived(
    ['net', 'net', 'The sum before tax', money],
    ['tax', 'tax', 'The tax on it', money],
    ['total', 'total', 'The sum with tax', money],
    ['paid', 'paid', 'What was paid so far', money],
    ['balance', 'balance', 'What is still to be paid', money],
    ['state', 'state', 'void, draft, paid, overdue, part paid or open', text],
    ['is_overdue', 'is overdue', 'Whether it should have been paid', yesNo],
    ['is_paid', 'is paid', 'Whether nothing is left to pay', yesNo],
    ['days_overdue', 'days overdue', 'Days since it was due, 0 unless overdue', number],
    ['days_until_due', 'days until due', 'Days until it is due, negative when past', number],
    ['last_payment', 'last payment', 'The newest payment', money],
    ['last_paid_on', 'last paid', 'The day of the newest payment', date],
    ['next_instalment', 'next instalment', 'The first part not yet paid', record('instalment')],
  ),
];

/** The fields of an invoice's line. */
export const LINE = [
  ...stored(
    ['description', 'description', 'What is charged for', text],
    ['quantity', 'quantity', 'How many', number],
    ['unit_price', 'unit price', 'The price of one', money],
    ['tax_rate', 'tax rate', 'Tax in percent', scalar('percent')],
    ['discount', 'discount', 'Discount in percent', scalar('percent')],
  ),
  ...derived(
    ['net', 'net', 'The line before tax', money],
    ['tax', 'tax', 'The tax on the line', money],
    ['amount', 'amount', 'The line with tax', money],
  ),
];

/** The fields of a payment. */
export const PAYMENT = stored(
  ['paid_on', 'paid on', 'The day of the payment', date],
  ['amount', 'amount', 'What was paid', money],
  ['method', 'method', 'How it was paid', text],
  ['reference', 'reference', 'What stood on the payment', text],
);

/** The fields of an instalment. */
export const INSTALMENT = [
  ...stored(
    ['due_on', 'due date', 'The day this part is to be paid by', date],
    ['amount', 'amount', 'The size of this part', money],
  ),
  ...derived(['left', 'left', 'What of this part is not yet paid', money]),
];
