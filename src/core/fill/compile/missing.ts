import type { RecordKind } from '../../records/recordKind';
import type { ResolvedPath } from '../paths/resolvePath';
import type { Scope } from '../paths/scope';
import type { Hole } from '../filled';
import type { Run } from '../run';
import { textOfItem } from '../show';

/** A field's label for its hole: the path with spaces, without "custom". */
function holeLabel(path: string): string {
  return path
    .split('.')
    .filter((name) => name !== 'custom')
    .join(' ')
    .replaceAll('_', ' ')
    .trim();
}

/** What is missing where a field has no value: the fact of a record, or the record itself. */
export function missingFact(
  path: ResolvedPath,
  owner: unknown,
  run: Run,
): Pick<Hole, 'path' | 'label' | 'reason'> {
  const label = holeLabel(path.path);
  const { ownerKind } = path;
  if (!owner || !ownerKind)
    return {
      path: path.path,
      label,
      reason: `There is no ${path.root.replaceAll('_', ' ')} to take it from.`,
    };
  const name = ownerName(path)(owner, run)!;
  const kind = ownerKind === 'recipient' ? recipientKind(run) : ownerKind;
  const who =
    ownerKind === 'business' ? 'The business' : name === ownerKind ? `This ${kind}` : `The ${kind} ${name}`;
  return { path: path.path, label, reason: `${who} has no ${path.label}.` };
}

/** What the record is called that has a field's fact; undefined where it has none. */
export function ownerName({ ownerKind }: ResolvedPath): (owner: unknown, run: Run) => string | undefined {
  if (!ownerKind) return () => undefined;
  const nameOf = textOfItem({ kind: 'record', record: ownerKind });
  return (owner, run) => (owner === undefined ? undefined : nameOf(owner as never, run));
}

const KEYLESS = new Set<RecordKind>(['line', 'payment', 'instalment']);

type Reference = (owner: unknown, run: Run) => string | undefined;

/** The record that a field's fact belongs to, as `invoice:K-101`; a line stands for its invoice. */
export function ownerReference({ ownerKind }: ResolvedPath, scope: Scope): Reference {
  if (!ownerKind) return () => undefined;
  if (ownerKind === 'business') return () => 'business';
  if (KEYLESS.has(ownerKind)) return referenceAround(scope);
  return (owner, run) => {
    const key = (owner as { key?: string } | undefined)?.key;
    if (key === undefined) return undefined;
    const kind = ownerKind === 'recipient' ? recipientKind(run) : ownerKind;
    return kind === 'client' && isEnquirer(key, run) ? `enquiry:${key}` : `${kind}:${key}`;
  };
}

/** What has no key is told by the record of the section around it, or else is the invoice's. */
function referenceAround(scope: Scope): Reference {
  const outer = scope.frames.findLastIndex((type) => type.kind === 'record' && !KEYLESS.has(type.record));
  const kind = outer < 0 ? 'invoice' : (scope.frames[outer] as { record: RecordKind }).record;
  return (owner, run) => {
    if (owner === undefined) return undefined;
    const around = outer < 0 ? run.situation.invoice?.record : (run.frames[outer]?.value as { key?: string });
    return around?.key === undefined ? undefined : `${kind}:${around.key}`;
  };
}

/** Whether a client is only whoever asked, with the facts of the enquiry. */
function isEnquirer(key: string, { situation, book }: Run): boolean {
  return situation.enquiry?.record.key === key && !book.clients.has(key);
}

function recipientKind(run: Run): RecordKind {
  return run.situation.recipients[0]?.record.kind ?? 'recipient';
}
