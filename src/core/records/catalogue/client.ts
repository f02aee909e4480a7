import { collection, record, scalar } from '../fieldType';
import { choicesInWords } from './choices';
import { derived, references, stored } from './field';

const text = scalar('text');
const phone = scalar('phone');
const many = (kind: Parameters<typeof record>[0]) => collection(record(kind));

const PERSON = stored(
  ['given_name', 'given name', 'The given name alone', text],
  ['family_name', 'family name', 'The family name alone', text],
  ['preferred_name', 'preferred name', 'What the person wants to be called', text],
  ['honorific', 'honorific', 'Mr, Ms, Dr and the like', text],
);

const GREETED = derived(
  ['greeting_name', 'greeting name', 'The name to greet with', text],
  ['full_name', 'full name', 'The name in full', text],
);

const REACHED = stored(
  ['email', 'email', 'The email address', text],
  ['phone', 'phone', 'The number to ring', phone],
  ['mobile', 'mobile', 'The mobile number, for texts', phone],
);

/** The fields of a client. */
export const CLIENT = [
  ...stored(
    ['kind', 'kind', choicesInWords('client.kind'), text],
    ['name', 'name', 'The client’s name as written', text],
  ),
  ...PERSON,
  ...REACHED,
  ...stored(
    ['address', 'address', 'Where the client lives or works', scalar('address')],
    ['billing_address', 'billing address', 'Where invoices are addressed to', scalar('address')],
    ['language', 'language', 'The language the client reads, as de', text],
    ['tags', 'tags', 'Words the client is sorted by', collection(text)],
    ['since', 'client since', 'The day the client came', scalar('date')],
    ['source', 'source', 'How the client found the business', text],
    ['notes', 'notes', 'Notes about the client, for the team', scalar('long text')],
    [
      'no_letters_since',
      'no letters since',
      'The day on which the client asked for no letters',
      scalar('date'),
    ],
  ),
  ...references(['responsible', 'responsible', 'Who looks after the client', record('member'), 'member']),
  ...stored(
    ['contacts', 'contacts', 'The people at the client', many('contact')],
    ['items', 'items', 'The things the service is done to', many('item')],
    ['files', 'files', 'Files kept with the client', collection(scalar('file'))],
  ),
  ...GREETED,
  ...derived(
    ['outstanding', 'outstanding', 'All that the client still owes', scalar('money')],
    ['next_booking', 'next booking', 'The client’s next visit', record('booking')],
    ['last_booking', 'last booking', 'The client’s last visit', record('booking')],
    ['projects', 'projects', 'The client’s projects', many('project')],
    ['bookings', 'bookings', 'The client’s bookings', many('booking')],
    ['invoices', 'invoices', 'The client’s invoices', many('invoice')],
    ['unpaid_invoices', 'unpaid invoices', 'Invoices that are open, part paid or overdue', many('invoice')],
    ['enquiries', 'enquiries', 'What the client asked', many('enquiry')],
  ),
];

/** The fields of a contact. */
export const CONTACT = [
  ...PERSON,
  ...stored(['role', 'role', 'What the person does at the client', text]),
  ...REACHED,
  ...stored(['uses', 'uses', 'What letters the person gets', collection(text)]),
  ...GREETED,
];

/** A contact, the client itself, a member or a partner: whoever the letter goes to. */
export const RECIPIENT = [
  ...CONTACT.filter((field) => field.key !== 'uses'),
  ...stored(
    ['name', 'name', 'The name as written', text],
    ['title', 'title', 'What a member does', text],
    ['trade', 'trade', 'What a partner does', text],
  ),
];

/** The fields of an item. */
export const ITEM = stored(
  ['name', 'name', 'What the item is called', text],
  ['kind', 'kind', 'What sort of item it is', text],
  ['notes', 'notes', 'Notes about the item, for the team', scalar('long text')],
);

/** The fields of an enquiry. */
export const ENQUIRY = [
  ...stored(
    ['received_at', 'received', 'When the enquiry came', scalar('moment')],
    ['via', 'came by', 'How the enquiry came', text],
    ['name', 'name', 'Who asks', text],
    ['email', 'email', 'The address to answer to', text],
    ['phone', 'phone', 'The number to ring', phone],
    ['message', 'message', 'What was written', scalar('long text')],
    ['service', 'service', 'What is asked for', text],
    ['wanted_on', 'days asked for', 'The days that would suit', collection(scalar('date'))],
    ['status', 'status', choicesInWords('enquiry.status'), text],
  ),
  ...references(['client', 'client', 'The client who asks', record('client'), 'client']),
];
