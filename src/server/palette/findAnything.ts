import type { ListEntry } from '../../core/contract/list';
import type { PaletteAnswer, PaletteLetter, PaletteRecord } from '../../core/contract/palette';
import type { ListedKind } from '../../core/records/recordKind';
import { wordsWanted } from '../../core/searching/finder';
import { businessBook } from '../businessBook';
import { forMember } from '../forMember';
import { findRecords } from '../lists/listRecords';
import type { CurrentMember } from '../signIn/currentMember';
import { lettersTo, templatesCalled } from './lettersTo';
import { lettersToAddress } from './lettersToAddress';

/** So many records of a kind are shown, so many clients are looked through for a letter, and so many letters. */
const MOST_RECORDS = 4;
const MOST_CLIENTS = 3;
const MOST_LETTERS = 6;
/** More words than these nobody types. */
const MOST_WORDS = 8;

const OTHER_KINDS: readonly ListedKind[] = ['invoice', 'booking', 'project', 'enquiry'];

/**
 * What can be gone to or begun by some words: letters by whom they are to and which template (“write oda reminder”), and records.
 */
export const findAnything = forMember(async (member: CurrentMember, find: string): Promise<PaletteAnswer> => {
  const typed = wordsWanted(find).slice(0, MOST_WORDS);
  const [first, second] = typed;
  const begun = first === 'write' ? (second === 'to' ? 2 : 1) : 0;
  const words = typed.slice(begun);
  if (words.length === 0) return { letters: [], records: [] };
  const book = await businessBook(member.business_id);
  const found = async (kind: ListedKind, all: readonly string[]): Promise<ListEntry[]> =>
    (await findRecords(member, kind, all.join(' '), book)).entries;
  const clients = await found('client', words);
  const letters =
    (await lettersToAddress(member, find)) ??
    (await lettersBy(member, words, { clients, asked: begun > 0, found }));
  if (begun > 0) return { letters, records: [] };
  const records = recordsIn('client', clients);
  for (const kind of OTHER_KINDS) records.push(...recordsIn(kind, await found(kind, words)));
  return { letters, records };
});

function recordsIn(kind: ListedKind, entries: readonly ListEntry[]): PaletteRecord[] {
  return entries.slice(0, MOST_RECORDS).map(({ key, name, note }) => ({ kind, key, name, note: note ?? '' }));
}

interface Search {
  /** those that have all of the words */
  clients: readonly ListEntry[];
  /** whether somebody said that they want to write */
  asked: boolean;
  found: (kind: ListedKind, words: readonly string[]) => Promise<ListEntry[]>;
}

/** The first words say whom to write to, as many of them as do; the others which template. */
async function lettersBy(
  member: CurrentMember,
  words: readonly string[],
  { clients, asked, found }: Search,
): Promise<PaletteLetter[]> {
  if (clients.length > 0)
    return clients
      .slice(0, asked ? MOST_LETTERS : 1)
      .map(({ key, name }) => ({ name, from: `client:${key}` }));
  for (let count = words.length - 1; count > 0; count--) {
    const named = await found('client', words.slice(0, count));
    if (named.length === 0) continue;
    const wanted = words.slice(count);
    const templates = await templatesCalled(member, wanted);
    const letters: PaletteLetter[] = [];
    for (const { key, name } of named.slice(0, MOST_CLIENTS))
      letters.push(...(await lettersTo(member, { key, name }, templates)));
    return letters.slice(0, MOST_LETTERS);
  }
  return [];
}
