import ICAL from 'ical.js';
import { isAddress } from '../addressing/addresses';
import { oneLine } from './oneLine';
import { kindOfName } from '../people/kindOfName';
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

/** So many further numbers, and addresses, a client has. */
const MOST_MORE = 20;

type Property = InstanceType<typeof ICAL.Property>;

/**
 * The client of a card: vCard 3 (RFC 2426) or 4 (RFC 6350), read by itself, so that one that is broken keeps no other out. Of several
 * numbers and postal addresses the preferred one comes first, the others with what they are for; of several email addresses it is
 * taken, and the others are told.
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
  const sort = words(all('kind')[0]).toLowerCase();
  // One of our own households is called so, too, and names no members (RFC 6350, 6.1.4).
  if (/^\S*member:/im.test(card) || all('member').length > 0)
    return refuse('This card is a list of other cards, and no client.');
  const [family = '', given = '', , prefix = ''] = partsOf(all('n')[0]);
  const organisation = partsOf(all('org')[0])[0]?.trim() ?? '';
  const [name] = written('name', [
    words(all('fn')[0]) || [given, family].filter(Boolean).join(' ') || organisation,
  ]);
  if (!name) return refuse('There is no name in it.', 'name');
  const isHouse = organisation !== '' && (name === organisation || sort.startsWith('org'));
  const kind = isHouse ? 'organisation' : sort === 'group' ? 'household' : kindOfName(name);
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
  const numbersOf = (fact: 'phone' | 'mobile', some: readonly Property[]) => {
    const usual = fact === 'mobile' ? 'mobile' : 'telephone';
    const said =
      mends[fact] === undefined
        ? some.map((one) => ({ number: words(one).replace(/^tel:/i, ''), use: useOf(one) ?? usual }))
        : written(fact, []).map((number) => ({ number, use: usual }));
    return said.filter(({ number }) => number.length <= 60 && /\d.*\d.*\d/.test(number));
  };
  const mobiles = numbersOf('mobile', numbers.filter(isMobile));
  const phones = numbersOf(
    'phone',
    numbers.filter((one) => !isMobile(one)),
  );
  for (const more of good.slice(1))
    doubts.push({
      column: 'EMAIL',
      words: more.slice(0, 300),
      message: 'A client has one of these. The first one is taken.',
      fact: 'email',
    });
  const addresses = preferred(all('adr')).flatMap((one) => {
    const address = addressOf(one);
    return address ? { use: useOf(one) ?? 'address', address } : [];
  });
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
    phone: phones[0]?.number,
    mobile: mobiles[0]?.number,
    more_phones: some([...phones.slice(1), ...mobiles.slice(1)]),
    address: addresses[0]?.address,
    more_addresses: some(addresses.slice(1)),
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

/** What a number or an address is for, by its types. */
function useOf(property: Property): string | undefined {
  return typesOf(property).find((type) => type === 'home' || type === 'work');
}

/** As many as a client can have; undefined where there is none. */
function some<One>(all: readonly One[]): One[] | undefined {
  return all.length > 0 ? all.slice(0, MOST_MORE) : undefined;
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
