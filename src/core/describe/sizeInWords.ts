/** How large a file is, as people say it: "85 kB", "1.4 MB", "9.9 GB". */
export function sizeInWords(bytes: number): string {
  if (bytes < 1_000_000) return `${Math.max(1, Math.round(bytes / 1000))} kB`;
  return bytes < 999_500_000 ? `${figure(bytes / 1_000_000)} MB` : `${figure(bytes / 1_000_000_000)} GB`;
}

function figure(amount: number): number {
  return amount < 10 ? Math.round(amount * 10) / 10 : Math.round(amount);
}
