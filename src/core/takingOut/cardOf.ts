import ICAL from 'ical.js';
import type { MoreOfClient } from '../contract/records/client';
import type { AddressData, ClientData, ContactData, PersonData } from '../records/recordsFile';

/** A client as a card, and each of their people as another: vCard 4 (RFC 6350). */
export function cardsOf(
  { contacts = [], ...client }: ClientData,
  { more_phones = [], more_addresses = [] }: MoreOfClient = {},
): string {
  const isHouse = client.kind === 'organisation';
  const own = card(client.name ?? client.key, client, (one) => {
    one.addPropertyWithValue('kind', isHouse ? 'org' : client.kind === 'household' ? 'group' : 'individual');
    if (isHouse && client.name) one.addPropertyWithValue('org', client.name);
    address(one, client.address);
    for (const { use, number } of more_phones) telephone(one, number, isCommon(use) ? use : 'voice');
    for (const { use, address: other } of more_addresses)
      address(one, other, isCommon(use) ? use : undefined);
    if (client.language) one.addPropertyWithValue('lang', client.language);
    if (client.tags?.length) {
      const tags = new ICAL.Property('categories', one);
      tags.setValues(client.tags);
      one.addProperty(tags);
    }
    if (client.notes) one.addPropertyWithValue('note', client.notes);
  });
  const people = contacts.map((person: ContactData) => {
    const name = [person.given_name ?? person.preferred_name, person.family_name].filter(Boolean).join(' ');
    return card(name || (client.name ?? client.key), person, (one) => {
      if (client.name) one.addPropertyWithValue('org', client.name);
      if (person.role) one.addPropertyWithValue('role', person.role);
    });
  });
  return [own, ...people].join('');
}

type Component = InstanceType<typeof ICAL.Component>;

function card(name: string, person: PersonData, more: (card: Component) => void): string {
  const one = new ICAL.Component('vcard');
  one.addPropertyWithValue('version', '4.0');
  one.addPropertyWithValue('fn', name);
  const { given_name = '', family_name = '', honorific = '', preferred_name, email, phone, mobile } = person;
  if (given_name || family_name) one.addPropertyWithValue('n', [family_name, given_name, '', honorific, '']);
  if (preferred_name) one.addPropertyWithValue('nickname', preferred_name);
  if (email) one.addPropertyWithValue('email', email);
  for (const [number, type] of [
    [phone, 'voice'],
    [mobile, 'cell'],
  ] as const)
    if (number) telephone(one, number, type);
  more(one);
  return `${one.toString()}\r\n`;
}

/** What the form has words for (RFC 6350, 5.6); others are not said in it. */
function isCommon(use: string): boolean {
  return use === 'home' || use === 'work';
}

function telephone(card: Component, number: string, type: string): void {
  const tel = new ICAL.Property('tel', card);
  tel.setParameter('type', type);
  tel.setValue(number);
  card.addProperty(tel);
}

function address(card: Component, known: AddressData | undefined, type?: string): void {
  if (!known) return;
  const { street = [], town = '', region = '', postcode = '', country = '' } = known;
  const adr = new ICAL.Property('adr', card);
  if (type) adr.setParameter('type', type);
  adr.setValue(['', '', street.join('\n'), town, region, postcode, country]);
  card.addProperty(adr);
}
