/** What parts one message from the next: the line at which mailboxes are read as several (RFC 4155). */
const SEPARATOR = Buffer.from('\nFrom ');
const BEGINS = Buffer.from('From ');

/** A message as it stands in a mailbox file: below a line of its own, its lines ended by a line feed, and none taken for that line (mboxrd). */
export function inMbox(message: Buffer, { from, at }: { from: string; at: Date }): Buffer {
  const text = message
    .toString('latin1')
    .replace(/\r\n/g, '\n')
    .replace(/^(>*From )/gm, '>$1');
  const [weekday, day = '', month, year, time] = at.toUTCString().replace(',', '').split(' ');
  const when = `${weekday} ${month} ${String(Number(day)).padStart(2, ' ')} ${time} ${year}`;
  const end = text.endsWith('\n') ? '\n' : '\n\n';
  return Buffer.from(`From ${from.replace(/\s/g, '') || '-'} ${when}\n${text}${end}`, 'latin1');
}

/**
 * The messages of a mailbox file, or the one that a file is.
 * @param most no more are read
 */
export function messagesIn(file: Buffer, most: number): Buffer[] {
  if (!file.subarray(0, BEGINS.length).equals(BEGINS)) return [file];
  const found: Buffer[] = [];
  let at = 0;
  while (at >= 0 && found.length < most) {
    const next = nextSeparator(file, at);
    const whole = file.subarray(at, next < 0 ? file.length : next);
    const head = whole.indexOf('\n');
    if (head >= 0) found.push(withoutMarks(whole.subarray(head + 1)));
    at = next;
  }
  return found;
}

/** Where the next message begins, behind an empty line; -1: there is none. */
function nextSeparator(file: Buffer, from: number): number {
  for (let at = file.indexOf(SEPARATOR, from); at >= 0; at = file.indexOf(SEPARATOR, at + 1)) {
    const before = file[at - 1];
    const isBelowEmpty = before === 10 || (before === 13 && file[at - 2] === 10);
    if (isBelowEmpty) return at + 1;
  }
  return -1;
}

/** As it was before it stood in a mailbox file. */
function withoutMarks(message: Buffer): Buffer {
  return Buffer.from(message.toString('latin1').replace(/^>(>*From )/gm, '$1'), 'latin1');
}
