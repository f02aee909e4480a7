import addressparser from 'nodemailer/lib/addressparser';

/** The people of an address line (RFC 5322, 3.4), groups opened. */
export function readAddresses(line: string): { name: string; email: string }[] {
  return addressparser(line, { flatten: true })
    .filter(({ address }) => address.includes('@'))
    .map(({ name, address }) => ({ name, email: address }));
}
