import { capital } from '../../describe/capital';
import type { RecordKind } from '../../records/recordKind';
import type { ResolvedPath } from '../paths/resolvePath';
import type { Hole } from '../filled';
import type { Run } from '../run';
import { textOfItem } from '../show';
import { recipientKind } from './source';

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
  const reason =
    owner && ownerKind
      ? `${whoIs(ownerKind, owner, run)} has no ${path.label}.`
      : `No ${path.label}: ${endOfWay(path, run)}.`;
  return { path: path.path, label, reason };
}

/** Where the way to a record ends: the first on it that is not there, and the one that lacks it. */
function endOfWay({ way, root }: ResolvedPath, run: Run): string {
  const last = way.findLast(({ read }) => read(run) !== undefined);
  if (!last) return `there is no ${root.replaceAll('_', ' ')}`;
  const who = whoIs(last.kind, last.read(run), run);
  return `${who.charAt(0).toLowerCase()}${who.slice(1)} has no ${last.next}`;
}

function whoIs(ownerKind: RecordKind, owner: unknown, run: Run): string {
  if (ownerKind === 'business') return 'The business';
  const name = textOfItem({ kind: 'record', record: ownerKind })(owner as never, run);
  const kind = ownerKind === 'recipient' ? recipientKind(run) : ownerKind;
  if (name === ownerKind) return `This ${kind}`;
  // A visit is called after what it is for, an item often with its article: "the tuning visit", "the grand".
  if (ownerKind === 'booking') return `The ${name}`;
  return /^the /i.test(name) ? capital(name) : `The ${kind} ${name}`;
}

/** What the record is called that has a field's fact; undefined where it has none. */
export function ownerName({ ownerKind }: ResolvedPath): (owner: unknown, run: Run) => string | undefined {
  if (!ownerKind) return () => undefined;
  const nameOf = textOfItem({ kind: 'record', record: ownerKind });
  return (owner, run) => (owner === undefined ? undefined : nameOf(owner as never, run));
}
