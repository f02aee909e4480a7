/** The mark stands behind the name of the address, parted from it as most servers part them (RFC 5233). */
const MARKED = /^([^@+]+)\+r([a-z2-7]{26})@(.+)$/i;
const DIGITS = 'abcdefghijklmnopqrstuvwxyz234567';
const DIGITS_OF_UUID = 26;

/** A UUID in digits that stand in an address of mail and of the web, whatever their case. */
export function uuidInDigits(uuid: string): string {
  const bits = BigInt(`0x${uuid.replaceAll('-', '')}`);
  // Base 32 of JavaScript has other digits: 0-9, a-v.
  return bits
    .toString(32)
    .padStart(DIGITS_OF_UUID, '0')
    .replace(/./g, (digit) => DIGITS[parseInt(digit, 32)]!);
}

/** The UUID that digits say; undefined: they say none. */
export function uuidOfDigits(digits: string): string | undefined {
  if (!/^[a-z2-7]{26}$/i.test(digits)) return undefined;
  let value = 0n;
  for (const digit of digits.toLowerCase()) value = (value << 5n) | BigInt(DIGITS.indexOf(digit));
  // 26 digits say 130 bits, a UUID has 128.
  if (value >> 128n) return undefined;
  const hex = value.toString(16).padStart(32, '0');
  return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');
}

/** The address to which a letter is answered, so that what comes there is known to be about it. @param letter its id, a UUID */
export function withReplyMark(address: string, letter: string): string {
  const at = address.lastIndexOf('@');
  return `${address.slice(0, at)}+r${uuidInDigits(letter)}${address.slice(at)}`;
}

/** The id of the letter whose mark an address bears, and the address without it; undefined: it bears none. */
export function readReplyMark(address: string): { letter: string; address: string } | undefined {
  const [, name, mark, domain] = MARKED.exec(address) ?? [];
  const letter = uuidOfDigits(mark ?? '');
  return letter === undefined ? undefined : { letter, address: `${name}@${domain}` };
}
