import emailAddresses from 'email-addresses';

/** RFC 5321, 4.5.3.1: a path with its brackets has 256 octets. */
const LONGEST_ADDRESS = 254;

/** More than this is no line of addresses. */
const LONGEST_LINE = 4_000;

/** A name and an address (RFC 5322, 3.4). */
export interface Mailbox {
  name: string;
  email: string;
}

/** What was judged lately: a letter's addresses are asked about again with every pause of its writer. */
const judged = new Map<string, boolean>();
const MOST_JUDGED = 1000;

/** Most addresses are two dot-atoms (RFC 5322, 3.2.3) of ASCII: a list of thousands is not read by the whole grammar. */
const DOT_ATOMS = /^[\w!#$%&'*+/=?^`{|}~-]+(?:\.[\w!#$%&'*+/=?^`{|}~-]+)*@[a-z0-9-]+(?:\.[a-z0-9-]+)*$/i;

/** Whether a text is one address: an addr-spec by RFC 5322, an internationalised one by RFC 6531. */
export function isAddress(text: string): boolean {
  if (text.length > LONGEST_ADDRESS || /[\s<>,;:()]/u.test(text)) return false;
  if (DOT_ATOMS.test(text)) return true;
  let holds = judged.get(text);
  if (holds === undefined) {
    if (judged.size >= MOST_JUDGED) judged.clear();
    judged.set(text, (holds = isAddrSpec(text)));
  }
  return holds;
}

function isAddrSpec(text: string): boolean {
  const parsed = emailAddresses.parseOneAddress({ input: text, rfc6532: true, startAt: 'mailbox' });
  return parsed?.type === 'mailbox' && parsed.parts.address.tokens === text;
}

/** The mailboxes of a header's line (RFC 5322, 3.4), groups opened; undefined where it is not such a line. */
export function readMailboxes(line: string): Mailbox[] | undefined {
  if (!line || line.length > LONGEST_LINE) return undefined;
  const parsed = emailAddresses.parseAddressList({ input: line, rfc6532: true });
  const mailboxes = parsed?.flatMap((one) => (one.type === 'group' ? one.addresses : [one]));
  return mailboxes?.map(({ name, address }) => ({ name: name ?? '', email: address }));
}

/**
 * A value as it stands in a line of addresses: an address as it is, anything else as words that are no syntax there
 * (a quoted-string by RFC 5322, 3.2.4), whatever they say.
 */
export function asWordsOfHeader(value: string): string {
  if (value.includes('@') && isAddress(value)) return value;
  return /[^\p{L}\p{N}\p{M} ’'_-]/u.test(value) ? `"${value.replace(/["\\]/g, '\\$&')}"` : value;
}

/** What stands behind the @ of an address, in lower case. */
export function domainOf(address: string): string {
  return address.slice(address.lastIndexOf('@') + 1).toLowerCase();
}
