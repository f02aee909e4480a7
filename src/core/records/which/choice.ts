/** A record taken by rule: the record, why in words, and what else could be taken, in order. */
export interface Choice<T> {
  record: T;
  /** "the oldest of 2 unpaid invoices" */
  reason: string;
  alternatives: readonly T[];
}

/** A record that was taken, with why and with the others it was taken from; undefined where there was none to take. */
export function choice<T>(
  record: T | undefined,
  reason: string,
  among: readonly T[] = [],
): Choice<T> | undefined {
  if (record === undefined) return undefined;
  return { record, reason, alternatives: among.filter((other) => other !== record) };
}

/** "the only invoice", "the newest of 3 invoices". */
export function rank(which: string, of: readonly unknown[], one: string, many: string): string {
  return of.length === 1 ? `the only ${one}` : `the ${which} of ${of.length} ${many}`;
}
