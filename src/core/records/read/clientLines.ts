import { isAddress } from '../../addressing/addresses';
import { kindOfName } from '../../people/kindOfName';
import type { ClientData } from '../recordsFile';

/** A client as they were jotted down. */
type JottedClient = Required<Pick<ClientData, 'name' | 'kind'>> & Pick<ClientData, 'email' | 'phone'>;

/** A line that was read, or what is wrong with it. */
export interface ClientLine {
  /** counted from 1 */
  line: number;
  client?: JottedClient;
  problem?: string;
}

/** So many lines are jotted down at once; more come from a file. */
export const MOST_LINES = 200;

/**
 * Reads clients as they are jotted down, one a line, their parts in any order between commas, semicolons or tabs:
 * "Ada Reyes, ada@reyes.example, 01632 960100". What is an address or a number is told by its look; the rest is the name.
 */
export function readClientLines(text: string): ClientLine[] {
  return text
    .split(/\r\n|\r|\n/)
    .map((written, i) => ({ line: i + 1, written: written.trim() }))
    .filter(({ written }) => written !== '')
    .map(({ line, written }) => ({ line, ...readLine(written) }));
}

function readLine(written: string): Omit<ClientLine, 'line'> {
  const parts = written
    .replace(/<([^<>]*)>/g, ',$1,')
    .split(/[,;\t]/)
    .map((part) => part.trim())
    .filter(Boolean);
  const emails = parts.filter((part) => part.includes('@'));
  const phones = parts.filter(isNumber);
  // "Reyes, Ada" is one name.
  const name = parts.filter((part) => !part.includes('@') && !isNumber(part)).join(', ');
  const [email] = emails;
  const [phone] = phones;
  if (!name) return { problem: 'There is no name in it.' };
  if (name.length > 200) return { problem: 'A name has at most 200 characters.' };
  if (emails.length > 1) return { problem: 'There are two email addresses in it: a client begins with one.' };
  if (phones.length > 1) return { problem: 'There are two numbers in it: a client begins with one.' };
  if (email !== undefined && !isAddress(email)) return { problem: `${email} is no email address.` };
  return {
    client: { name, kind: kindOfName(name), ...(email ? { email } : {}), ...(phone ? { phone } : {}) },
  };
}

function isNumber(part: string): boolean {
  return /^[+(]?[\d\s()/.-]{5,30}$/.test(part) && part.replace(/\D/g, '').length >= 5;
}
