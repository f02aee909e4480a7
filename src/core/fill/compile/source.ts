import type { RecordKind } from '../../records/recordKind';
import type { ResolvedPath } from '../paths/resolvePath';
import type { Scope } from '../paths/scope';
import type { Origin, Run } from '../run';

/** Says where the facts of a record come from. */
export function originOf(path: ResolvedPath, scope: Scope): (owner: unknown, run: Run) => Origin {
  const { reason } = path;
  const referenceOf = ownerReference(path, scope);
  return (owner, run) => ({ record: referenceOf(owner, run), reason: reason(run) });
}

/**
 * Where a filling keeps what a field is read from: it is found once, or once in each round of the section that the
 * path begins in, for all fields of a record.
 */
export function slotOf({ ownerPath, depth }: ResolvedPath, scope: Scope): number {
  const { slots } = depth === undefined ? scope.tally : scope.frames[depth]!;
  const slot = slots.get(ownerPath) ?? scope.tally.slotCount++;
  slots.set(ownerPath, slot);
  return slot;
}

/**
 * Whether a fact is of the business or somebody in it. What a field says of it depends on that record,
 * the book and the template alone, so that it is kept for the next letter; only conditions on a list ask for more.
 */
export function isOfBusiness({ ownerKind, type }: ResolvedPath): boolean {
  return (ownerKind === 'business' || ownerKind === 'member') && type.kind !== 'collection';
}

const KEYLESS = new Set<RecordKind>(['line', 'payment', 'instalment']);

type Reference = (owner: unknown, run: Run) => string | undefined;

/** The record that a field's fact belongs to, as `invoice:K-101`; a line stands for its invoice. */
function ownerReference({ ownerKind, depth }: ResolvedPath, { frames }: Scope): Reference {
  if (!ownerKind) return () => undefined;
  if (ownerKind === 'business') return () => 'business';
  if (KEYLESS.has(ownerKind)) return referenceAround(depth === undefined ? [] : frames);
  return (owner, run) => {
    const key = (owner as { key?: string } | undefined)?.key;
    if (key === undefined) return undefined;
    const kind = ownerKind === 'recipient' ? recipientKind(run) : ownerKind;
    return (kind === 'client' && isEnquirer(key, run) ? 'enquiry' : kind) + ':' + key;
  };
}

/** What has no key is told by the record of the section around it, or else is the invoice's. */
function referenceAround(frames: Scope['frames']): Reference {
  const outer = frames.findLastIndex(({ type }) => type.kind === 'record' && !KEYLESS.has(type.record));
  const kind = outer < 0 ? 'invoice' : (frames[outer]!.type as { record: RecordKind }).record;
  return (owner, run) => {
    if (owner === undefined) return undefined;
    const around = outer < 0 ? run.situation.invoice?.record : (run.frames[outer]?.value as { key?: string });
    return around?.key === undefined ? undefined : kind + ':' + around.key;
  };
}

/** Whether a client is only whoever asked, with the facts of the enquiry. */
function isEnquirer(key: string, { situation, book }: Run): boolean {
  return situation.enquiry?.record.key === key && !book.clients.has(key);
}

/** The kind of whoever the letter goes to first. */
export function recipientKind(run: Run): RecordKind {
  return run.situation.recipients[0]?.record.kind ?? 'recipient';
}
