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
export async function listStarts(
  member: CurrentMember,
  kind: StartingKind,
  find: string,
): Promise<ListEntry[]> {
  const words = find.toLowerCase().split(/\s+/).filter(Boolean);
  const entries = await LISTS[kind](member);
  return entries
    .filter(({ name, note, also = '' }) => {
      const text = `${name} ${note} ${also}`.toLowerCase();
      return words.every((word) => text.includes(word));
    })
    .slice(0, MOST);
}
