import ICAL from 'ical.js';
import { isAddress } from '../addressing/addresses';
import { kindOf } from '../records/read/clientLines';
import { present, type BroughtClient, type BroughtFacts, type Doubt } from './broughtClient';

/** More than this in one file is told before anything is read. */
export const MOST_CARDS = 50_000;

/**
 * The clients of a file of cards: vCard 3 (RFC 2426) and 4 (RFC 6350), each read by itself, so that one that is broken keeps no
 * other out. Of several addresses and numbers the preferred one is taken, and the others are told.
 */
export function readVcards(text: string): BroughtClient[] {
  return cardsIn(text).map((card, i) => readCard(card, i + 1));
}

/** From each BEGIN to its END, or to the next BEGIN. */
function cardsIn(text: string): string[] {
  return text
    .split(/^(?=BEGIN:VCARD\s*$)/im)
    .map((card) => card.trim())
    .filter((card) => /^BEGIN:VCARD/i.test(card));
}

type Property = InstanceType<typeof ICAL.Property>;

function readCard(card: string, row: number): BroughtClient {
  const doubts: Doubt[] = [];
  const refuse = (message: string): BroughtClient => ({
    row,
    doubts: [...doubts, { column: '', words: '', message }],
  });
  if (!/^END:VCARD\s*$/im.test(card)) return refuse('This card has no end.');
  const version = /^VERSION:\s*(\S+)/im.exec(card)?.[1];
  if (version === '2.1') return refuse('This card is of version 2.1. Write it anew as version 3 or 4.');
  let component: InstanceType<typeof ICAL.Component>;
  try {
    component = ICAL.Component.fromString(card);
  } catch (error) {
    return refuse(`This card cannot be read: ${(error as Error).message}`);
  }
  const all = (name: string) => component.getAllProperties(name);
  const words = (property: Property | undefined): string => textOf(property?.getFirstValue()).trim();
  const [family = '', given = '', , prefix = ''] = partsOf(all('n')[0]);
  const organisation = partsOf(all('org')[0])[0]?.trim() ?? '';
  const written = words(all('fn')[0]) || [given, family].filter(Boolean).join(' ') || organisation;
  if (!written) return refuse('There is no name in it.');
  const isHouse = organisation !== '' && (written === organisation || /^org/i.test(words(all('kind')[0])));
  const kind = isHouse ? 'organisation' : kindOf(written);
  const emails = preferred(all('email')).map(words).filter(Boolean);
  const good = emails.filter(isAddress);
  for (const wrong of emails.filter((one) => !isAddress(one)))
    doubts.push({ column: 'EMAIL', words: wrong, message: 'This is no email address. It is left out.' });
  const numbers = preferred(all('tel')).filter((one) => !typesOf(one).some((type) => /fax|pager/.test(type)));
  const isMobile = (one: Property) => typesOf(one).some((type) => /cell|mobile/.test(type));
  const [mobiles, phones] = [numbers.filter(isMobile), numbers.filter((one) => !isMobile(one))].map((some) =>
    some.map((one) => words(one).replace(/^tel:/i, '')).filter((one) => /\d.*\d.*\d/.test(one)),
  ) as [string[], string[]];
  const several = (column: string, values: readonly string[]) => {
    for (const more of values.slice(1))
      doubts.push({ column, words: more, message: 'A client has one of these. The first one is taken.' });
  };
  several('EMAIL', good);
  several('TEL', phones);
  several('TEL', mobiles);
  const addresses = preferred(all('adr'));
  several(
    'ADR',
    addresses.map((one) => partsOf(one).filter(Boolean).join(', ')),
  );
  const notes = all('note').map(words).filter(Boolean).join('\n');
  const language = words(preferred(all('lang'))[0]);
  const client = present<BroughtFacts>({
    kind,
    name: written.slice(0, 200),
    ...(kind === 'person'
      ? { given_name: given || undefined, family_name: family || undefined, honorific: prefix || undefined }
      : {}),
    preferred_name: words(all('nickname')[0]) || undefined,
    email: good[0],
    phone: phones[0],
    mobile: mobiles[0],
    address: addressOf(addresses[0]),
    language: /^[a-z]{2,3}(?:-[a-z0-9]{2,8})*$/i.test(language) ? language : undefined,
    tags: [...new Set(all('categories').flatMap((one) => one.getValues().map(textOf)))].filter(Boolean),
    notes: notes.slice(0, 20_000) || undefined,
  });
  return { row, client, doubts };
}

function textOf(value: unknown): string {
  return typeof value === 'string'
    ? value
    : value === null || value === undefined
      ? ''
      : String(value as object);
}

/** A structured value in its parts; a part may hold several. */
function partsOf(property: Property | undefined): string[] {
  const value: unknown = property?.getFirstValue();
  if (Array.isArray(value))
    return value.map((part) => (Array.isArray(part) ? part.map(textOf).join(', ') : textOf(part)));
  return value === undefined ? [] : [textOf(value)];
}

function typesOf(property: Property): string[] {
  const types: unknown = property.getParameter('type');
  return (Array.isArray(types) ? types : [types]).map((type) => textOf(type).toLowerCase()).filter(Boolean);
}

/** The preferred ones first: PREF=1 of version 4, TYPE=pref of version 3. */
function preferred(properties: readonly Property[]): Property[] {
  const rank = (one: Property) =>
    typesOf(one).includes('pref') ? 0 : Number(textOf(one.getParameter('pref')) || 100);
  return [...properties].sort((a, b) => rank(a) - rank(b));
}

function addressOf(property: Property | undefined): BroughtFacts['address'] {
  const [box = '', extended = '', street = '', town = '', region = '', postcode = '', country = ''] =
    partsOf(property);
  const lines = [box, extended, street].flatMap((part) => part.split(/\n|, /)).map((line) => line.trim());
  const said = Object.entries({ town, region, postcode, country }).filter(([, part]) => part.trim());
  const known = lines.filter(Boolean).slice(0, 6);
  if (known.length === 0 && said.length === 0) return undefined;
  return { ...(known.length > 0 ? { street: known } : {}), ...Object.fromEntries(said) };
}
