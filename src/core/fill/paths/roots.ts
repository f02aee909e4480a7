import { record, scalar, type FieldType } from '../../records/fieldType';
import type { RecordKind } from '../../records/recordKind';
import type { Run } from '../run';

/** Where a path can begin. */
export interface Root {
  type: FieldType;
  label: string;
  read: (run: Run) => unknown;
  reason: (run: Run) => string;
}

type Chosen = 'client' | 'enquiry' | 'project' | 'booking' | 'invoice';

/** Each with functions of its own, as one for all would look the kind up by its name each time. */
function chosen(kind: Chosen, read: (run: Run) => unknown, reason: (run: Run) => string): [string, Root] {
  return [kind, { type: record(kind), label: kind, read, reason }];
}

function fixed(kind: RecordKind, name: string, read: Root['read'], reason: string): [string, Root] {
  return [name, { type: record(kind), label: name, read, reason: () => reason }];
}

/** What a path may begin with outside of any section, by name. */
export const ROOTS: ReadonlyMap<string, Root> = new Map<string, Root>([
  fixed('business', 'business', (run) => run.book.business, 'the business’s own details'),
  // The links of the business, each a path of its own.
  fixed('business', 'links', (run) => run.book.business, 'a link of the business'),
  fixed('member', 'sender', (run) => run.situation.sender, 'whoever the letter comes from'),
  [
    'recipient',
    {
      type: record('recipient'),
      label: 'recipient',
      read: (run) => run.situation.recipients[0]?.record.data,
      reason: (run) => run.situation.recipients[0]?.reason ?? 'there is nobody to write to',
    },
  ],
  chosen(
    'client',
    (run) => run.situation.client?.record,
    (run) => run.situation.client?.reason ?? 'there is no client',
  ),
  chosen(
    'enquiry',
    (run) => run.situation.enquiry?.record,
    (run) => run.situation.enquiry?.reason ?? 'there is no enquiry',
  ),
  chosen(
    'project',
    (run) => run.situation.project?.record,
    (run) => run.situation.project?.reason ?? 'there is no project',
  ),
  chosen(
    'booking',
    (run) => run.situation.booking?.record,
    (run) => run.situation.booking?.reason ?? 'there is no booking',
  ),
  chosen(
    'invoice',
    (run) => run.situation.invoice?.record,
    (run) => run.situation.invoice?.reason ?? 'there is no invoice',
  ),
  [
    'today',
    { type: scalar('date'), label: 'today', read: (run) => run.book.today, reason: () => 'today’s date' },
  ],
  [
    'now',
    { type: scalar('moment'), label: 'now', read: (run) => run.book.now, reason: () => 'the time now' },
  ],
]);
