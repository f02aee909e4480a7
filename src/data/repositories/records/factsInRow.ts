/** A row without what is not there: a missing fact is an absent key. */
export function present(row: object): Record<string, unknown> {
  return Object.fromEntries(Object.entries(row).filter(([, value]) => value !== null && value !== undefined));
}

/** Facts as the columns of a row by their names; what is absent is nothing there, or empty where a column holds several. */
export function columnsOf(names: readonly string[], facts: object): Record<string, unknown> {
  const said = facts as Readonly<Record<string, unknown>>;
  return Object.fromEntries(names.map((name) => [name, said[name] ?? EMPTY[name] ?? null]));
}

const EMPTY: Readonly<Record<string, unknown>> = {
  tags: [],
  uses: [],
  wanted_on: [],
  more_phones: [],
  more_addresses: [],
  custom: {},
};
