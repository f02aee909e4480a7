import type { RecordBook } from '../../records/recordBook';
import type { RecordKind } from '../../records/recordKind';
import type { BookingData, ProjectData } from '../../records/recordsFile';

type Follow = (data: never, book: RecordBook) => unknown;
type Keyed = { client?: string; project?: string; member?: string; responsible?: string };

const toClient: Follow = (data: Keyed, book) => book.clients.get(data.client ?? '');
const toProject: Follow = (data: Keyed, book) => book.projects.get(data.project ?? '');
const toResponsible: Follow = (data: Keyed, book) => book.members.get(data.responsible ?? '');

const REFERENCES: Readonly<Partial<Record<RecordKind, Readonly<Record<string, Follow>>>>> = {
  client: { responsible: toResponsible },
  enquiry: { client: toClient },
  project: {
    client: toClient,
    responsible: toResponsible,
    contacts: (project: ProjectData, book) => book.contactsOf(project),
    partners: (project: ProjectData, book) =>
      (project.partners ?? []).flatMap((key) => book.partners.get(key) ?? []),
  },
  booking: {
    client: toClient,
    project: toProject,
    member: (booking: Keyed, book) => book.members.get(booking.member ?? ''),
    items: (booking: BookingData, book) => book.itemsOf(booking),
  },
  invoice: { client: toClient, project: toProject },
};

/** How a field that refers to other records is followed; a test holds this list and the catalogue together. */
export function referenceOf(kind: RecordKind, key: string): Follow {
  const follow = REFERENCES[kind]?.[key];
  if (!follow) throw new Error(`${kind}.${key} refers to records, but no way leads there`);
  return follow;
}
