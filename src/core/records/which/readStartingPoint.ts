import { isStartingKind } from '../recordKind';
import { splitReference } from './splitReference';
import type { StartingPoint } from './situation';

/** `invoice:LPC-1048` as a starting point; undefined when it is none. */
export function readStartingPoint(text: unknown): StartingPoint | undefined {
  if (typeof text !== 'string' || text.length > 200 || text.includes('\0')) return undefined;
  const [kind, key] = splitReference(text);
  return isStartingKind(kind) && key ? { kind, key } : undefined;
}
