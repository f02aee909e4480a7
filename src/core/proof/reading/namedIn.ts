import type { AskedToLookUp } from '../../contract/lookUp';
import { fullName } from '../../people/names';
import { PARTICLES } from '../../people/namingCustoms';
import { PHONE } from '../../people/phonePattern';
import type { Situation } from '../../records/which/situation';
import type { AddressData, PersonData } from '../../records/recordsFile';
import { isSaidByField, type Line } from './lines';

/** So many words of each kind are looked up for one letter. */
export const MOST_LOOKED_UP = 60;

/** What a letter names that may be another client's: asked of the server, which knows them all. */
export type Named = Omit<AskedToLookUp, 'from' | 'days'>;

const EMAIL = /[\p{L}\p{N}._%+-]{1,64}@[\p{L}\p{N}.-]{1,190}\.\p{L}{2,24}/gu;
const STREET = /(?<!\p{L})\d{1,4}\p{L}?\s\p{Lu}[\p{L}’'-]+(?:\s\p{Lu}[\p{L}’'-]+){0,3}/gu;
const INVOICE = /(?<![\p{L}\p{N}-])\p{Lu}{1,6}-\d{2,8}(?![\p{L}\p{N}-])/gu;
const WORD = /[\p{L}][\p{L}\p{M}’'-]*/gu;

/** A name has at most so many words. */
const LONGEST_NAME = 4;

/** The names, addresses and numbers that stand in a letter and are not said by its fields, nor known of its own records. */
export function namedIn(lines: readonly Line[], situation: Situation): Named {
  const own = ownOf(situation);
  const found = (pattern: RegExp, isOwn: (words: string) => boolean) => {
    const all = new Set<string>();
    for (const line of lines)
      for (const match of line.text.matchAll(pattern)) {
        const [words] = match;
        if (isSaidByField(line, match.index, match.index + words.length) || isOwn(words)) continue;
        if (all.size < MOST_LOOKED_UP && words.length <= 120) all.add(words);
      }
    return [...all];
  };
  const isOwn = (words: string) => own.has(words.toLowerCase());
  return {
    names: namesIn(lines, own),
    emails: found(EMAIL, isOwn),
    phones: found(PHONE, (words) => own.has(digits(words))),
    streets: found(STREET, isOwn),
    invoices: found(INVOICE, isOwn),
  };
}

/** Capitalised words in a row, in every way in which a name may stand in them. */
function namesIn(lines: readonly Line[], own: ReadonlySet<string>): string[] {
  const names = new Set<string>();
  for (const line of lines) {
    let run: { word: string; from: number; to: number }[] = [];
    for (const match of line.text.matchAll(WORD)) {
      const one = { word: match[0], from: match.index, to: match.index + match[0].length };
      const last = run.at(-1);
      const follows = last !== undefined && /^[^\S\n]$/.test(line.text.slice(last.to, one.from));
      const isPart = /^\p{Lu}/u.test(one.word) || (follows && PARTICLES.has(one.word.toLowerCase()));
      if (!isPart || (last && !follows)) run = [];
      if (!isPart) continue;
      run.push(one);
      // Every row of words that ends here; a particle ends none.
      if (!/^\p{Lu}/u.test(one.word)) continue;
      for (let i = Math.max(0, run.length - LONGEST_NAME); i < run.length - 1; i++) {
        const from = run[i]!.from;
        const name = line.text.slice(from, one.to);
        if (names.size >= MOST_LOOKED_UP) return [...names];
        if (/^\p{Lu}/u.test(name) && !own.has(name.toLowerCase()) && !isSaidByField(line, from, one.to))
          names.add(name);
      }
    }
  }
  return [...names];
}

/** What the records of people and houses have in common. */
interface Anybody extends PersonData {
  name?: string;
  mobile?: string;
  address?: AddressData;
}

/** What is the letter's own client's, or the house's: in lower case, numbers by their figures. */
function ownOf({ book, client, enquiry }: Situation): Set<string> {
  const own = new Set<string>();
  const add = (words: string | undefined) => words && own.add(words.toLowerCase());
  const addAddress = (address: AddressData | undefined) => add(address?.street?.[0]);
  const people = [
    book.business,
    ...book.members.values(),
    ...book.partners.values(),
    ...(client ? [client.record, ...(client.record.contacts ?? [])] : []),
    ...(enquiry ? [enquiry.record] : []),
  ];
  for (const person of people as readonly Anybody[]) {
    const { name, given_name, family_name, phone, mobile } = person;
    add(fullName(person));
    add(name);
    if (given_name && family_name) add(`${given_name} ${family_name}`);
    add(person.email);
    for (const number of [phone, mobile]) if (number) own.add(digits(number));
    addAddress(person.address);
  }
  addAddress(client?.record.billing_address);
  const of = book.ofClient(client?.record);
  for (const { location } of [...of.bookings, ...of.projects]) addAddress(location);
  for (const { number } of of.invoices) add(number);
  return own;
}

/** The last nine figures of a telephone number: the same however it is written. */
function digits(number: string): string {
  return number.replace(/\D/g, '').slice(-9);
}
