import { hasWords, searchable, wordsWanted } from '../core/searching/finder';
import type { StartingKind } from '../core/records/recordKind';
import type { CurrentMember } from './currentMember';
import {
  listBookings,
  listClients,
  listEnquiries,
  listInvoices,
  listProjects,
  type ListEntry,
} from './lists';
import { forMember } from './forMember';

const LISTS: Readonly<Record<StartingKind, (member: CurrentMember) => Promise<ListEntry[]>>> = {
  client: listClients,
  enquiry: listEnquiries,
  project: listProjects,
  booking: listBookings,
  invoice: listInvoices,
};

/** So many are offered; more words find the others. */
const MOST = 30;

/** Records of a kind that have all of some words. */
export const listStarts = forMember(
  async (member: CurrentMember, kind: StartingKind, find: string): Promise<ListEntry[]> => {
    const words = wordsWanted(find);
    const entries = await LISTS[kind](member);
    return entries
      .filter(({ name, day, note, also }) => hasWords(searchable(name, day, note, also), words))
      .slice(0, MOST);
  },
);
