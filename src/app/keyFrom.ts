/** A record's key as it stands in an address; one that no record can have where it is none. */
export function keyFrom(segment: string): string {
  try {
    const key = decodeURIComponent(segment);
    return key.includes('\0') || key.length > 200 ? '' : key;
  } catch {
    return '';
  }
}

/** An id as it stands in an address; undefined where it is none. */
export function idFrom(segment: string): string | undefined {
  return /^[\da-f]{8}-(?:[\da-f]{4}-){3}[\da-f]{12}$/i.test(segment) ? segment : undefined;
}
