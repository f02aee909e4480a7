/** How large a file is, as people say it: "85 kB", "1.4 MB". */
export function sizeInWords(bytes: number): string {
  if (bytes < 1_000_000) return `${Math.max(1, Math.round(bytes / 1000))} kB`;
  const megabytes = bytes / 1_000_000;
  return `${megabytes < 10 ? Math.round(megabytes * 10) / 10 : Math.round(megabytes)} MB`;
}
