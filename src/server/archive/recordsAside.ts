import { mkdtemp, open, rm, type FileHandle } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { MoreOfClient } from '../../core/contract/records/client';
import type { BookingData, RecordsFile } from '../../core/records/recordsFile';
import { calendarOf, uidOfBooking } from '../../core/takingOut/calendarOf';
import { cardsOf } from '../../core/takingOut/cardOf';
import { csvOf } from '../../core/takingOut/csv';
import { SHEETS } from '../../core/takingOut/sheets';
import type { Database } from '../../data/database';
import { clientsAfter } from '../../data/repositories/clientsAfter';
import { moreOfClients } from '../../data/repositories/records/clients';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';

/** So many clients, with all that is theirs, are in memory at once. */
const CLIENTS = 500;
/** Enquiries of those who are no clients come with the first. */
const ENQUIRIES = 100_000;
/** What records are listed by, in the records file. */
const LISTS = ['clients', 'enquiries', 'projects', 'bookings', 'invoices'] as const;

/** Files that were written aside, by the names that they have in an archive; they are gone when that is done. */
export interface Aside {
  files: { name: string; path: string }[];
  remove: () => Promise<void>;
}

/** Writes the records of a business aside in the forms of other programs, some clients at a time. @param at in milliseconds */
export async function recordsAside(database: Database, business_id: string, at: number): Promise<Aside> {
  const folder = await mkdtemp(path.join(tmpdir(), 'fair-quill-'));
  const handles = new Map<string, FileHandle>();
  const remove = () => rm(folder, { recursive: true, force: true });
  const write = async (name: string, words: string) => {
    const handle = handles.get(name) ?? (await open(path.join(folder, name), 'w'));
    handles.set(name, handle);
    await handle.write(words);
  };
  try {
    let after: string | undefined = '';
    for (let part = 0; after !== undefined; part++) {
      const { ids, last, enquiries } = await clientsAfter(database, business_id, after, CLIENTS, ENQUIRIES);
      const records = (await recordsOfBusiness(database, business_id, { clients: ids, enquiries }))!;
      await writePart(records, part === 0, await moreOfClients(database, business_id, ids));
      after = last;
    }
    await write('bookings.ics', 'END:VCALENDAR\r\n');
    await write('records.json', await jsonOf());
    for (const handle of handles.values()) await handle.close();
    return { files: [...handles.keys()].map((name) => ({ name, path: path.join(folder, name) })), remove };
  } catch (error) {
    await Promise.allSettled([...handles.values()].map((handle) => handle.close()));
    await remove();
    throw error;
  }

  async function writePart(
    records: RecordsFile,
    isFirst: boolean,
    more: ReadonlyMap<string, MoreOfClient>,
  ): Promise<void> {
    const { business, clients = [], bookings = [] } = records;
    const ground = { currency: business.currency ?? 'GBP', fields: business.custom_fields ?? [], more };
    for (const [name, sheet] of Object.entries(SHEETS)) {
      // The business's own partners come with each part.
      const rows = name === 'partners' && !isFirst ? [] : sheet.rows(records, ground);
      const words = csvOf({ head: sheet.head(ground), rows });
      await write(`${name}.csv`, isFirst ? words : words.slice(words.indexOf('\r\n') + 2));
    }
    await write('clients.vcf', clients.map((one) => cardsOf(one, more.get(one.key))).join(''));
    const names = new Map(clients.map(({ key, name }) => [key, name]));
    const calendar = calendarOf(
      business.name ?? '',
      bookings.map((one) => eventOf(business_id, one, names.get(one.client ?? ''))),
      at,
    );
    const body = calendar.slice(0, calendar.lastIndexOf('END:VCALENDAR'));
    const events = body.indexOf('BEGIN:VEVENT');
    await write('bookings.ics', isFirst ? body : events < 0 ? '' : body.slice(events));
    if (isFirst) {
      const { business: own, members, partners } = records;
      await write('records.json', JSON.stringify({ business: own, members, partners }).slice(0, -1));
    }
    for (const name of LISTS)
      await write(`${name}.part`, (records[name] ?? []).map((one) => `,${JSON.stringify(one)}`).join(''));
  }

  /** The lists of records behind what is the business's own. */
  async function jsonOf(): Promise<string> {
    for (const name of LISTS) {
      const handle = handles.get(`${name}.part`);
      await write('records.json', `,\n"${name}":[`);
      if (handle) {
        await handle.close();
        handles.delete(`${name}.part`);
        const part = path.join(folder, `${name}.part`);
        const reading = await open(part);
        let isFirst = true;
        for await (const chunk of reading.createReadStream({ encoding: 'utf8' })) {
          await write('records.json', isFirst ? String(chunk).slice(1) : String(chunk));
          isFirst = false;
        }
        await rm(part);
      }
      await write('records.json', ']');
    }
    return '}\n';
  }
}

function eventOf(business_id: string, one: BookingData, client: string | undefined) {
  return {
    uid: uidOfBooking(business_id, one.key),
    version: 1,
    title: [one.service, client].filter(Boolean).join(', '),
    status: one.status ?? 'confirmed',
    starts_at: one.starts_at ?? '',
    ends_at: one.ends_at ?? one.starts_at ?? '',
    location: one.location,
    notes: one.notes,
  };
}
