import type { ListEntry, ListPage } from '../../core/contract/list';
import { civilOf, readDay } from '../../core/dates/civil';
import { wallClockOf } from '../../core/dates/zone';
import { capital } from '../../core/describe/capital';
import type { Formats } from '../../core/fill/formats/formats';
import { formatsOf } from '../../core/fill/formats/formatsOf';
import type { RecordBook } from '../../core/records/recordBook';
import type { ListedKind } from '../../core/records/recordKind';
import { hasWords, searchable, wordsWanted } from '../../core/searching/finder';
import { searchWays } from '../../core/searching/searchWays';
import { foundRecords, listPage, MOST_FOUND, type ListPlace } from '../../data/repositories/lists/listPages';
import { RECORD_LISTS, type ListRows } from '../../data/repositories/lists/recordLists';
import { businessBook } from '../businessBook';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import { placeInList, readPlace } from './placeInList';

/** So many rows come at once. */
const PAGE = 100;
/** So many words are looked for. */
const MOST_WORDS = 12;

/**
 * A page of the list of a kind of records: from its beginning, or what follows a place in it.
 * @throws NoSuchPlace
 */
export const listRecords = forMember(
  async ({ business_id }, kind: ListedKind, after?: string): Promise<ListPage> => {
    const { rows, next } = await rowsOf(business_id, kind, { after: readPlace(after), most: PAGE });
    return {
      entries: entriesIn(await businessBook(business_id), kind, rows),
      ...(next ? { next: placeInList(next) } : {}),
    };
  },
);

/**
 * The records of a kind that have all of some words; those whose name has them come first.
 * @param known the business, where it was read before
 */
export const findRecords = forMember(
  async ({ business_id }, kind: ListedKind, find: string, known?: RecordBook): Promise<ListPage> => {
    const book = known ?? (await businessBook(business_id));
    const wanted = searchWays(find, formatsOf(book).settings.home).slice(0, MOST_WORDS);
    const found = await foundRecords(connection(), kind, wanted);
    const words = wordsWanted(find);
    const among = found.length > PAGE ? await firstOf(business_id, kind, found, words) : found;
    const { rows } = await rowsOf(business_id, kind, { among, most: PAGE });
    const entries = namedFirst(entriesIn(book, kind, rows), words);
    return { entries, ...(found.length > PAGE ? { more: true } : {}) };
  },
);

/** Of many records the ids of those that are shown: only their names are read. */
async function firstOf(
  business_id: string,
  kind: ListedKind,
  found: readonly string[],
  words: readonly string[],
): Promise<string[]> {
  const list = RECORD_LISTS[kind];
  const { rows } = await listPage<{ id: string; name: string }>(
    connection(),
    business_id,
    { ...list, columns: `${kind}.id, ${list.name} as name` },
    { among: found.slice(0, MOST_FOUND), most: MOST_FOUND, bind: boundBy(kind) },
  );
  return namedFirst(rows, words)
    .slice(0, PAGE)
    .map(({ id }) => id);
}

/** In their order, but those whose name has the words before those that have them elsewhere. */
function namedFirst<T extends { name: string; day?: string }>(
  all: readonly T[],
  words: readonly string[],
): T[] {
  const named = ({ name, day }: T) => day === undefined && hasWords(searchable(name), words);
  return [...all.filter(named), ...all.filter((one) => !named(one))];
}

function rowsOf(
  business_id: string,
  kind: ListedKind,
  asked: { after?: ListPlace | undefined; among?: readonly string[]; most: number },
) {
  const bind = boundBy(kind);
  return listPage<ListRows[typeof kind]>(connection(), business_id, RECORD_LISTS[kind], { ...asked, bind });
}

function boundBy(kind: ListedKind): object {
  return kind === 'booking' ? { now: new Date(now()) } : {};
}

function entriesIn(book: RecordBook, kind: ListedKind, rows: readonly object[]): ListEntry[] {
  const formats = formatsOf(book);
  const entry = ENTRIES[kind] as (row: object, formats: Formats, book: RecordBook) => ListEntry;
  return rows.map((row) => entry(row, formats, book));
}

type Entries = {
  [Kind in ListedKind]: (row: ListRows[Kind], formats: Formats, book: RecordBook) => ListEntry;
};

const ENTRIES: Entries = {
  client: ({ key, name, kind, address, unpaid }, formats) => ({
    key,
    name,
    note: [kind, address?.town].filter(Boolean).join(', '),
    ...(unpaid > 0 ? { state: { words: `${formats.money(unpaid)} open`, kind: 'waiting' } } : {}),
  }),
  enquiry: ({ key, name, service, status, received_at }, formats, book) => ({
    key,
    name,
    note: [service, formats.fromNow(formats.dayOf(received_at.getTime()), book.today)]
      .filter(Boolean)
      .join(', '),
    state: { words: status, kind: status === 'waiting' ? 'needs you' : 'in order' },
  }),
  project: ({ key, title, client, status, starts_on }, formats) => {
    const day = readDay(starts_on ?? '');
    return {
      key,
      name: title,
      note: [client, day === undefined ? undefined : formats.date(day, 'month')].filter(Boolean).join(', '),
      state: { words: status, kind: status === 'active' ? 'waiting' : 'in order' },
    };
  },
  booking: ({ key, service, client, status, starts_at }, formats, book) => ({
    key,
    name: client,
    day: dayHeading(starts_at, formats, book),
    note: `${formats.time(starts_at.getTime())}, ${service}`,
    ...(status === 'confirmed' || status === 'done'
      ? {}
      : { state: { words: status, kind: status === 'tentative' ? 'waiting' : 'needs you' } }),
  }),
  invoice: ({ key, number, client, status, due_on, total, paid }, formats, book) => {
    const due = readDay(due_on ?? '');
    const open = status === 'sent' && total > paid;
    const days = due === undefined ? 0 : book.today - due;
    const words = !open
      ? status === 'sent'
        ? 'paid'
        : status
      : days > 0
        ? `${days} ${days === 1 ? 'day' : 'days'} overdue`
        : paid > 0
          ? 'part paid'
          : 'open';
    return {
      key,
      name: number === null ? client : `${number}, ${client}`,
      note: formats.money(open ? total - paid : total),
      state: { words, kind: !open ? 'in order' : days > 0 ? 'needs you' : 'waiting' },
    };
  },
  partner: ({ key, name, trade, town }) => ({
    key,
    name,
    note: [trade, town].filter(Boolean).join(', '),
  }),
};

/** “Today, Friday 27 November”, “Earlier today, …”, “Monday 30 November”; with its year when that is another. */
function dayHeading(starts_at: Date, formats: Formats, book: RecordBook): string {
  const { day } = wallClockOf(starts_at.getTime(), book.zone);
  const sameYear = civilOf(day).year === civilOf(book.today).year;
  const date = `${formats.date(day, 'weekday')} ${formats.date(day, sameYear ? 'day and month' : 'date')}`;
  if (day === book.today && starts_at.getTime() < book.now) return `Earlier today, ${date}`;
  return Math.abs(day - book.today) <= 1 ? `${capital(formats.fromNow(day, book.today))}, ${date}` : date;
}
