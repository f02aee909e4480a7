import { array, object, string, type InferType } from 'yup';
import { CHOICES } from '../../records/catalogue/choices';
import type { Custom } from '../../records/recordsFile';
import { VERSION } from '../numbers';
import { customFacts, type OwnFields } from './customFacts';
import { day, emailAddress, line, lines, phoneNumber, postalAddress } from './parts';

const NAMED = {
  given_name: line(),
  family_name: line(),
  preferred_name: line(),
  honorific: line(60),
};

const REACHED = { email: emailAddress(), phone: phoneNumber(), mobile: phoneNumber() };

/** A person at a client; one that is there has a key. */
const CONTACT = object({
  key: line(100),
  ...NAMED,
  role: line(),
  ...REACHED,
  uses: array(string().oneOf(CHOICES['contact.uses']).required()).required(),
})
  .noUnknown()
  .test({
    name: 'named',
    message: 'Write what they are called.',
    test: (person, { createError, path }) =>
      Boolean(person.given_name ?? person.family_name ?? person.preferred_name) ||
      createError({ path: `${path}.given_name` }),
  });

const USE = line(60).required('Write what it is for.');
/** Another number or address of a client, with what it is for. */
const MORE_PHONE = object({ use: USE, number: phoneNumber().required('Write the number.') }).noUnknown();
const MORE_ADDRESS = object({ use: USE, address: postalAddress() })
  .noUnknown()
  .test({
    name: 'said',
    message: 'Write the address.',
    test: ({ address }, { createError, path }) =>
      address !== undefined || createError({ path: `${path}.address` }),
  });

/** A thing that the service is done to; one that is there has a key. */
const ITEM = object({
  key: line(100),
  name: line().required('Write what it is called.'),
  kind: line(),
  notes: lines(),
}).noUnknown();

/** What is known of a client and their people. */
const FACTS = {
  kind: string().oneOf(CHOICES['client.kind']).required('Choose what sort of client it is.'),
  name: line().required('Write what the client is called.'),
  ...NAMED,
  ...REACHED,
  address: postalAddress(),
  billing_address: postalAddress(),
  more_phones: array(MORE_PHONE).max(20, 'At most 20 numbers.'),
  more_addresses: array(MORE_ADDRESS).max(20, 'At most 20 addresses.'),
  language: line(35),
  tags: array(line(60).required())
    .transform((value: unknown, typed: unknown) =>
      typeof typed === 'string'
        ? typed
            .split(',')
            .map((tag) => tag.trim())
            .filter(Boolean)
        : value,
    )
    .required()
    .max(50, 'At most 50 tags.'),
  since: day(),
  source: line(),
  notes: lines(20_000),
  /** the day on which they asked for no letters */
  no_letters_since: day(),
  /** a member, by key */
  responsible: line(100),
  contacts: array(CONTACT).required().max(100, 'At most 100 people.'),
};
const PLAIN = object({ version: VERSION, ...FACTS });

/** A client's facts with the version that was seen, and those of the business's own: given to `/api/clients/<key>`. */
export function clientFacts(own: OwnFields) {
  const item = ITEM.shape({ custom: customFacts('item', own) });
  return PLAIN.shape({
    custom: customFacts('client', own),
    items: array(item).required().max(500, 'At most 500.'),
  }).noUnknown();
}

/** What a file brings of a client. */
export function broughtClientFacts(own: OwnFields) {
  return object(FACTS)
    .omit(['billing_address', 'no_letters_since', 'responsible', 'contacts'])
    .shape({ custom: customFacts('client', own) })
    .noUnknown();
}

export type ContactFacts = InferType<typeof CONTACT>;
export type ItemFacts = InferType<typeof ITEM> & { custom?: Custom };
export type ClientFacts = InferType<typeof PLAIN> & { custom?: Custom; items: ItemFacts[] };
/** What a client has besides what letters say: further numbers and addresses, each with what it is for. */
export type MoreOfClient = Pick<ClientFacts, 'more_phones' | 'more_addresses'>;
