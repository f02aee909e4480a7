import type { CompiledTemplate } from '../fill/compileTemplate';
import type { Addressee } from '../fill/filled';
import { senderOf } from '../fill/fillInto';
import { fullName } from '../people/names';
import type { Recipient } from '../records/which/chooseRecipient';
import type { Situation } from '../records/which/situation';

/** Whom a letter comes from and goes to by its template and its records; no address is looked into yet. */
export interface Addressees {
  /** as the template says; an address that is missing is empty */
  from: Addressee;
  to: Addressee[];
  /** those who always get a copy */
  copies: Addressee[];
}

/** The addressees of a letter from a template: those of its situation that have an address. */
export function addresseesOf(template: CompiledTemplate, situation: Situation): Addressees {
  return {
    from: fromOf(template, situation),
    to: situation.recipients.flatMap(({ record }) => addressee(record.data)),
    copies: situation.copies.flatMap(addressee),
  };
}

/** The mailbox a letter comes from: the business's own where the template says so, else the sender's. */
function fromOf(template: CompiledTemplate, situation: Situation): Addressee {
  const { business } = situation.book;
  const own = template.head.from === 'house' ? undefined : senderOf(template, situation);
  return {
    name: inLine((own && fullName(own)) ?? business.name ?? ''),
    email: own?.email || business.email || '',
  };
}

function addressee(data: Recipient['data']): Addressee[] {
  return data.email ? [{ name: inLine(fullName(data) ?? ''), email: data.email }] : [];
}

/** A name that stands in a header: a line break in it is a space. */
function inLine(name: string): string {
  const line = name.replace(/[\p{Cc}\u2028\u2029]+/gu, ' ');
  return line === name ? name : line.trim();
}
