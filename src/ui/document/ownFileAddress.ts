/** Where a file of the business's own is kept for a device. */
export function ownFileAddress(name: string): string {
  return `/api/files/${encodeURIComponent(name)}`;
}
