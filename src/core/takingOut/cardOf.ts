import ICAL from 'ical.js';
import type { AddressData, ClientData, ContactData, PersonData } from '../records/recordsFile';

/** A client as a card, and each of their people as another: vCard 4 (RFC 6350). */
export function cardsOf({ contacts = [], ...client }: ClientData): string {
  const isHouse = client.kind === 'organisation';
  const own = card(client.name ?? client.key, client, (one) => {
    one.addPropertyWithValue('kind', isHouse ? 'org' : client.kind === 'household' ? 'group' : 'individual');
    if (isHouse && client.name) one.addPropertyWithValue('org', client.name);
    address(one, client.address);
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
    if (number) {
      const tel = new ICAL.Property('tel', one);
      tel.setParameter('type', type);
      tel.setValue(number);
      one.addProperty(tel);
    }
  more(one);
  return `${one.toString()}\r\n`;
}

function address(card: Component, known: AddressData | undefined): void {
  if (!known) return;
  const { street = [], town = '', region = '', postcode = '', country = '' } = known;
  card.addPropertyWithValue('adr', ['', '', street.join('\n'), town, region, postcode, country]);
}
