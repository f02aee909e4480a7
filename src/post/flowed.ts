/** Longest line with what marks it, in characters (RFC 3676, 4.2: 78 or fewer, with room for the end). */
const WIDTH = 76;
/** The line that the signature follows (RFC 3676, 4.3): the one fixed line that ends in a space. */
const SIGNATURE_LINE = '-- ';

/**
 * A text as `text/plain; format=flowed` (RFC 3676, without DelSp): long lines are broken after a space, which a reader
 * that knows takes for no break at all. Quoted lines keep their marks on each part; words too long for a line stay
 * whole.
 * @param text lines ended by \n
 * @param signatureAt where in the text the signature begins that it ends with
 */
export function flowed(text: string, signatureAt?: number): string {
  const at = signatureAt ?? text.length;
  const signed = signatureAt === undefined ? '' : `${SIGNATURE_LINE}\n${lines(text.slice(at))}`;
  return lines(text.slice(0, at)) + signed;
}

function lines(text: string): string {
  return text.split('\n').map(flowedLine).join('\n');
}

function flowedLine(line: string): string {
  const quoted = /^>(?: ?>)*/.exec(line)?.[0] ?? '';
  const marks = quoted.replaceAll(' ', '');
  // A space at the end would say that the line goes on.
  const words = line
    .slice(quoted.length)
    .replace(marks ? /^ / : '', '')
    .trimEnd();
  const parts: string[] = [];
  let rest = words;
  for (;;) {
    const end = breakAfter(rest, WIDTH - marks.length - 1);
    parts.push(stuffed(rest.slice(0, end), marks));
    rest = rest.slice(end);
    if (!rest) return parts.join('\n');
  }
}

/** Where a line is broken: behind the last space that fits, else behind the first one. */
function breakAfter(words: string, width: number): number {
  if (words.length <= width) return words.length;
  let end = words.lastIndexOf(' ', width - 1) + 1 || words.indexOf(' ') + 1;
  // What is left of the break must not look like the line that a signature follows.
  while (end && words.slice(0, end) === SIGNATURE_LINE) end = words.indexOf(' ', end) + 1;
  return end || words.length;
}

/** What would be taken for a quotation, a stuffed line or a mailbox's separator has a space before it. */
function stuffed(words: string, marks: string): string {
  if (marks) return words ? `${marks} ${words}` : marks;
  return /^(?: |>|From )/.test(words) ? ` ${words}` : words;
}
