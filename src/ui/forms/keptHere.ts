/** What is typed into forms and not kept yet lies on this device under such keys. */
const PLACE = 'fair-quill form ';

/** Keeps something on this device until it is dropped; without storage it lives as long as the page. */
export function keepHere(key: string, value: unknown): void {
  try {
    localStorage.setItem(PLACE + key, JSON.stringify(value));
  } catch {
    // The page has it still.
  }
}

export function dropHere(key: string): void {
  try {
    localStorage.removeItem(PLACE + key);
  } catch {
    // There is nothing.
  }
}

export function keptHere(key: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(PLACE + key) ?? 'null') ?? undefined;
  } catch {
    return undefined;
  }
}

/** Nothing of a business stays on a device that nobody is signed in on. */
export function clearKeptHere(): void {
  for (const key of Object.keys(localStorage)) if (key.startsWith(PLACE)) localStorage.removeItem(key);
}
