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
