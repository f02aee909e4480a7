import type { ListEntry } from '../../core/contract/list';
import type { PaletteAnswer, PaletteLetter, PaletteRecord } from '../../core/contract/palette';
import { nameStart } from '../../core/describe/nameStart';
import type { ListedKind } from '../../core/records/recordKind';
import type { Situation, StartingPoint } from '../../core/records/which/situation';
import { hasWords, searchable, wordsWanted } from '../../core/searching/finder';
import { WritingDesk } from '../../core/writing/writingDesk';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
import { scopeFrom, startingRecord } from '../../data/repositories/startingRecords';
import { businessBook } from '../businessBook';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import { findRecords } from '../lists/listRecords';
import type { CurrentMember } from '../signIn/currentMember';
import { standingTemplates, type StandingTemplate } from '../templates/standingTemplates';

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
  const letters = await lettersBy(member, words, { clients, asked: begun > 0, found });
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
    const templates = (await standingTemplates(member)).filter(
      ({ listed: { head } }) => !head.resting && hasWords(searchable(head.name), wanted),
    );
    const letters: PaletteLetter[] = [];
    for (const { key, name } of named.slice(0, MOST_CLIENTS))
      letters.push(...(await lettersTo(member, { key, name }, templates)));
    return letters.slice(0, MOST_LETTERS);
  }
  return [];
}

/** The letters to a client from some templates, each from the record that it starts from; those that fit first. */
async function lettersTo(
  member: CurrentMember,
  { key, name }: { key: string; name: string },
  templates: readonly StandingTemplate[],
): Promise<PaletteLetter[]> {
  const { business_id } = member;
  const client: StartingPoint = { kind: 'client', key };
  const record = await startingRecord(connection(), business_id, client);
  if (!record || templates.length === 0) return [];
  const records = await recordsOfBusiness(connection(), business_id, scopeFrom(client, record));
  const desk = new WritingDesk({
    records: records!,
    now: now(),
    templates: templates.map(({ listed }) => listed),
    passages: [],
    signatures: [],
    member: member.key,
  });
  const known = desk.situation(client);
  const letters = templates.flatMap(({ listed }) => {
    const start = known && startOf(listed.head.startsFrom, known);
    const situation = start && desk.situation(start, { template: listed.key });
    if (!situation) return [];
    const isFit = desk.fitting(situation, [], [listed]).fitting.length > 0;
    const letter: PaletteLetter = {
      name,
      from: `${start.kind}:${start.key}`,
      template: { key: listed.key, name: listed.head.name },
      ...(start.kind === 'client' ? {} : { note: nameStart(situation) }),
    };
    return [{ letter, isFit }];
  });
  return letters.sort((a, b) => Number(b.isFit) - Number(a.isFit)).map(({ letter }) => letter);
}

/** The client's record that a template of a kind would start from. */
function startOf(kind: StartingPoint['kind'], situation: Situation): StartingPoint | undefined {
  const key = situation[kind]?.record.key;
  return key === undefined ? undefined : { kind, key };
}
