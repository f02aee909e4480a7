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

/**
 * The messages of a mailbox file of any size, or the one that a file is, as it is read.
 * @param largest of one with more bytes nothing is given
 */
export async function* messagesOf(
  chunks: AsyncIterable<Buffer>,
  largest: number,
): AsyncGenerator<Buffer | undefined> {
  let open = Buffer.alloc(0);
  let isTooLarge = false;
  let isMbox: boolean | undefined;
  const one = (): [] | [Buffer | undefined] => {
    const head = isMbox ? open.indexOf('\n') : -1;
    if (isTooLarge) {
      isTooLarge = false;
      return [undefined];
    }
    if (!isMbox) return [open];
    return head < 0 ? [] : [withoutMarks(open.subarray(head + 1))];
  };
  for await (const chunk of chunks) {
    // A line may be cut where the file is.
    let from = Math.max(0, open.length - SEPARATOR.length - 2);
    open = Buffer.concat([open, chunk]);
    if (isMbox === undefined && open.length >= BEGINS.length)
      isMbox = open.subarray(0, BEGINS.length).equals(BEGINS);
    for (let next = isMbox ? nextSeparator(open, from) : -1; next >= 0; next = nextSeparator(open, from)) {
      const rest = open.subarray(next);
      open = open.subarray(0, next);
      yield* one();
      open = rest;
      from = 0;
    }
    if (open.length > largest) {
      isTooLarge = true;
      // What tells where the next one begins may have begun.
      open = open.subarray(open.length - SEPARATOR.length - 2);
    }
  }
  if (open.length > 0) yield* one();
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
