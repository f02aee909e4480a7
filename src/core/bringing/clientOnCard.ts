import ICAL from 'ical.js';
import { isAddress } from '../addressing/addresses';
import { oneLine } from './oneLine';
import { kindOf } from '../records/read/clientLines';
import { present, type BroughtClient, type BroughtRow, type Doubt, type Mends } from './brought';

/** More than this in one file is told before anything is read. */
export const MOST_CARDS = 50_000;

/** The cards of a file: from each BEGIN to its END, or to the next BEGIN. */
export function cardsIn(text: string): string[] {
  return text
    .split(/^(?=BEGIN:VCARD\s*$)/im)
    .map((card) => card.trim())
    .filter((card) => /^BEGIN:VCARD/i.test(card));
}

type Property = InstanceType<typeof ICAL.Property>;

/**
 * The client of a card: vCard 3 (RFC 2426) or 4 (RFC 6350), read by itself, so that one that is broken keeps no other out. Of
 * several addresses and numbers the preferred one is taken, and the others are told.
 */
export function clientOnCard(card: string, row: number, mends: Mends = {}): BroughtRow<BroughtClient> {
  const doubts: Doubt[] = [];
  const refuse = (message: string, fact?: string): BroughtRow<BroughtClient> => ({
    row,
    doubts: [...doubts, { column: '', words: '', message, ...(fact ? { fact } : {}) }],
  });
  /** what was written instead, or what stands there */
  const written = (fact: string, there: string[]) => {
    const mended = mends[fact]?.trim();
    return mended === undefined ? there : mended ? [mended] : [];
  };
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
  const [name] = written('name', [
    words(all('fn')[0]) || [given, family].filter(Boolean).join(' ') || organisation,
  ]);
  if (!name) return refuse('There is no name in it.', 'name');
  const isHouse = organisation !== '' && (name === organisation || /^org/i.test(words(all('kind')[0])));
  const kind = isHouse ? 'organisation' : kindOf(name);
  const emails = written('email', preferred(all('email')).map(words).filter(Boolean));
  const good = emails.filter(isAddress);
  for (const wrong of emails.filter((one) => !isAddress(one)))
    doubts.push({
      column: 'EMAIL',
      words: wrong.slice(0, 300),
      message: 'This is no email address. It is left out.',
      fact: 'email',
    });
  const numbers = preferred(all('tel')).filter((one) => !typesOf(one).some((type) => /fax|pager/.test(type)));
  const isMobile = (one: Property) => typesOf(one).some((type) => /cell|mobile/.test(type));
  const numbersOf = (fact: string, some: readonly Property[]) =>
    written(
      fact,
      some.map((one) => words(one).replace(/^tel:/i, '')),
    ).filter((one) => one.length <= 60 && /\d.*\d.*\d/.test(one));
  const mobiles = numbersOf('mobile', numbers.filter(isMobile));
  const phones = numbersOf(
    'phone',
    numbers.filter((one) => !isMobile(one)),
  );
  const several = (column: string, values: readonly string[], fact?: string) => {
    for (const more of values.slice(1))
      doubts.push({
        column,
        words: more.slice(0, 300),
        message: 'A client has one of these. The first one is taken.',
        ...(fact ? { fact } : {}),
      });
  };
  several('EMAIL', good, 'email');
  several('TEL', phones, 'phone');
  several('TEL', mobiles, 'mobile');
  const addresses = preferred(all('adr'));
  several(
    'ADR',
    addresses.map((one) => partsOf(one).filter(Boolean).join(', ')),
  );
  const notes = all('note').map(words).filter(Boolean).join('\n');
  const language = words(preferred(all('lang'))[0]);
  const facts = present<BroughtClient>({
    kind,
    name: oneLine(name),
    ...(kind === 'person'
      ? {
          given_name: oneLine(given) || undefined,
          family_name: oneLine(family) || undefined,
          honorific: oneLine(prefix, 60) || undefined,
        }
      : {}),
    preferred_name: oneLine(words(all('nickname')[0])) || undefined,
    email: good[0],
    phone: phones[0],
    mobile: mobiles[0],
    address: addressOf(addresses[0]),
    language: /^[a-z]{2,3}(?:-[a-z0-9]{2,8})*$/i.test(language) ? language : undefined,
    tags: [
      ...new Set(all('categories').flatMap((one) => one.getValues().map((tag) => oneLine(textOf(tag), 60)))),
    ]
      .filter(Boolean)
      .slice(0, 50),
    notes: notes.slice(0, 20_000) || undefined,
  });
  return { row, facts, doubts };
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

function addressOf(property: Property | undefined): BroughtClient['address'] {
  const [box = '', extended = '', street = '', town = '', region = '', postcode = '', country = ''] =
    partsOf(property);
  const lines = [box, extended, street].flatMap((part) => part.split(/\n|, /)).map((line) => oneLine(line));
  const said = Object.entries({
    town: oneLine(town),
    region: oneLine(region),
    postcode: oneLine(postcode, 20),
    country: oneLine(country, 100),
  }).filter(([, part]) => part);
  const known = lines.filter(Boolean).slice(0, 6);
  if (known.length === 0 && said.length === 0) return undefined;
  return { ...(known.length > 0 ? { street: known } : {}), ...Object.fromEntries(said) };
}
