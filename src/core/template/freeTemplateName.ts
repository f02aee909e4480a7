/** A name that no template has: the one wanted, else “First reminder, copy”, “First reminder, copy 2”. @param taken in lower case */
export function freeTemplateName(name: string, taken: ReadonlySet<string>): string {
  return taken.has(name.toLowerCase()) ? copyOfName(name, taken) : name;
}

/** The name of a copy that stands beside one: “First reminder, copy”. @param taken in lower case */
export function copyOfName(name: string, taken: ReadonlySet<string>): string {
  for (let n = 1; ; n++) {
    const copy = `${name}, copy${n === 1 ? '' : ` ${n}`}`;
    if (!taken.has(copy.toLowerCase())) return copy;
  }
}
