import { capital } from '../describe/capital';
import { fullName } from '../people/names';
import { nameBooking, nameEnquiry, nameInvoice, nameProject } from '../describe/nameRecord';
import type { Situation } from '../records/which/situation';
import { splitReference } from '../records/which/splitReference';
import type { MarginNote } from './marginOf';
import type { FilledLetter } from './writingDesk';

/** What the margin says of one record: its name and why this one, once; then the facts it gives to the letter. */
export interface MarginGroup {
  id: string;
  title: string;
  /** why this record */
  reason?: string;
  /** the record, as `invoice:K-101`, where another can be taken */
  record?: string;
  notes: MarginNote[];
}

/**
 * Gathers the notes of a letter by record, in the order in which the letter first needs them; the answers, and what was
 * changed by hand, are groups of their own. Holes stand by themselves.
 */
export function marginGroups(notes: readonly MarginNote[], { situation }: FilledLetter): MarginGroup[] {
  const groups = new Map<string, MarginGroup>();
  for (const note of notes) {
    const id = groupOf(note);
    let group = groups.get(id);
    if (!group) groups.set(id, (group = newGroup(id, note, situation)));
    group.notes.push(note);
    if (note.canBeAnother && note.record !== undefined) group.record = note.record;
  }
  return [...groups.values()];
}

function groupOf(note: MarginNote): string {
  if (note.hole) return `hole ${note.id}`;
  if (note.was !== undefined) return 'by hand';
  if (note.record === undefined) return note.answered ? 'answers' : 'today';
  return note.record;
}

function newGroup(id: string, note: MarginNote, situation: Situation): MarginGroup {
  const group = { id, notes: [] };
  if (note.hole) {
    const title = note.hole.kind === 'blank' ? `Answer: ${note.label}` : `No ${note.label}`;
    return { ...group, title };
  }
  if (id === 'by hand') return { ...group, title: 'By hand' };
  if (id === 'answers') return { ...group, title: 'Answers' };
  if (id === 'today') return { ...group, title: 'Today' };
  return { ...group, title: titleOf(id, situation), reason: note.reason };
}

/** "Invoice LPC-1048", "Hale Brandreth" */
function titleOf(reference: string, situation: Situation): string {
  const [kind, key] = splitReference(reference);
  const { book, client, recipients } = situation;
  switch (kind) {
    case 'business':
      return book.business.name ?? 'The business';
    case 'invoice': {
      const record = book.invoices.get(key);
      return record ? `Invoice ${nameInvoice(book, record).name}` : 'Invoice';
    }
    case 'booking': {
      const record = book.bookings.get(key);
      return record ? capital(nameBooking(book, record).name) : 'Visit';
    }
    case 'project': {
      const record = book.projects.get(key);
      return record ? capital(nameProject(book, record).name) : 'Project';
    }
    case 'enquiry': {
      const record = book.enquiries.get(key);
      return record ? `Enquiry of ${nameEnquiry(book, record).name}` : 'Enquiry';
    }
    case 'member':
      return fullName(book.members.get(key) ?? {}) ?? 'A member';
    case 'partner':
      return book.partners.get(key)?.name ?? 'A partner';
    default: {
      const person = recipients.find(({ record }) => record.data.key === key)?.record.data ?? client?.record;
      const item = client?.record.items?.find((one) => one.key === key);
      return capital(item?.name ?? fullName(person ?? {}) ?? kind);
    }
  }
}
