/** A row without what is not there: a missing fact is an absent key. */
export function present(row: object): Record<string, unknown> {
  return Object.fromEntries(Object.entries(row).filter(([, value]) => value !== null && value !== undefined));
}
