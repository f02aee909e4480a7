/** A record's key as it stands in an address; one that no record can have where it is none. */
export function keyFrom(segment: string): string {
  try {
    const key = decodeURIComponent(segment);
    return key.includes('\0') || key.length > 200 ? '' : key;
  } catch {
    return '';
  }
}
