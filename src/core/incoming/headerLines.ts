/** The fields of a head (RFC 5322, 2.2), each on one line, with its name in lower case; empty where a line has none. @param head its lines end in \n */
export function headerLines(head: string): { key: string; line: string }[] {
  return head
    .replace(/\n[ \t]+/g, ' ')
    .split('\n')
    .map((line) => ({
      key: line
        .slice(0, Math.max(0, line.indexOf(':')))
        .trim()
        .toLowerCase(),
      line,
    }));
}
