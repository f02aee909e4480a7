/** Facts of a record by their names, as JSON. */
type Facts = Readonly<Record<string, unknown>>;

/** What two people made of one record. */
export interface BothChanged {
  /** what the later one goes on with: what they wrote, and what the other changed alone */
  merged: Record<string, unknown>;
  /** the names of facts that the other changed alone */
  taken: string[];
  /** the names of facts that both changed, each to something else */
  disputed: string[];
}

/**
 * Three-way merge of a record's facts by their names.
 * @param base the facts that the later one began with
 * @param theirs as the earlier one kept them
 * @param mine as the later one would
 */
export function bothChanged(base: Facts, theirs: Facts, mine: Facts): BothChanged {
  const merged: Record<string, unknown> = { ...mine };
  const taken: string[] = [];
  const disputed: string[] = [];
  for (const name of new Set([...Object.keys(base), ...Object.keys(theirs), ...Object.keys(mine)])) {
    if (isSame(theirs[name], base[name]) || isSame(theirs[name], mine[name])) continue;
    if (!isSame(mine[name], base[name])) disputed.push(name);
    else {
      merged[name] = theirs[name];
      taken.push(name);
    }
  }
  return { merged, taken, disputed };
}

/** Whether two facts say the same; nothing typed is nothing. */
function isSame(a: unknown, b: unknown): boolean {
  return JSON.stringify(plain(a)) === JSON.stringify(plain(b));
}

function plain(value: unknown): unknown {
  if (value === '' || value === null || value === undefined) return undefined;
  if (Array.isArray(value)) return value.length > 0 ? value.map(plain) : undefined;
  if (typeof value !== 'object') return value;
  const entries = Object.entries(value)
    .map(([key, one]) => [key, plain(one)] as const)
    .filter(([, one]) => one !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1));
  return entries.length > 0 ? Object.fromEntries(entries) : undefined;
}
