import type { ClientFacts, ContactFacts, ItemFacts } from './client';
import { shownCustom, type OwnFields } from './customFacts';
import { shownAddress } from './shownAddress';

const UNNAMED = { given_name: '', family_name: '', preferred_name: '', honorific: '' };
const UNREACHED = { email: '', phone: '', mobile: '' };

/** A person at a client as a form's controls show them. */
export function shownContact(contact: Partial<ContactFacts> = {}) {
  return { key: '', ...UNNAMED, role: '', ...UNREACHED, uses: [], ...contact };
}

/** A thing that the service is done to as a form's controls show it. */
export function shownItem({ custom, ...item }: Partial<ItemFacts>, own: OwnFields) {
  return { key: '', name: '', kind: '', notes: '', ...item, custom: shownCustom('item', custom, own) };
}

/** A client's facts as a form's controls show them: nothing is an empty text, tags are one, a street is one. */
export function shownClient(
  {
    version: _,
    address,
    billing_address,
    more_phones = [],
    more_addresses = [],
    tags,
    contacts,
    items,
    custom,
    ...facts
  }: ClientFacts,
  own: OwnFields,
) {
  return {
    ...UNNAMED,
    ...UNREACHED,
    language: '',
    since: '',
    source: '',
    notes: '',
    no_letters_since: '',
    responsible: '',
    ...facts,
    address: shownAddress(address),
    billing_address: shownAddress(billing_address),
    more_phones: more_phones.map((one) => ({ ...one })),
    more_addresses: more_addresses.map(({ use, address: other }) => ({ use, address: shownAddress(other) })),
    tags: tags.join(', '),
    contacts: contacts.map((contact) => shownContact(contact)),
    items: items.map((item) => shownItem(item, own)),
    custom: shownCustom('client', custom, own),
  };
}

/** The facts of a client of whom nothing is known yet. */
export const NEW_CLIENT: ClientFacts = {
  version: 1,
  kind: 'person',
  name: '',
  tags: [],
  contacts: [],
  items: [],
};
