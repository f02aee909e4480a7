import type { Addressee, FillResult } from '../fill/filled';
import type { Addressees } from './addresseesOf';
import { isAddress, readMailboxes } from './addresses';

/** Everyone a letter has to do with, each address read by itself. */
export interface Addressing {
  from: Addressee;
  to: Addressee[];
  /** those who always get one, and those the template names */
  copies: Addressee[];
  blindCopies: Addressee[];
  replyTo: Addressee[];
  /** what is no address, and where it stands: nothing of it reaches a header */
  wrong: { place: 'From' | 'To' | 'Copy' | 'Blind copy' | 'Reply to'; text: string }[];
}

/** Reads the addresses of a filled letter. One that is none is told, and left out. */
export function addressingOf(
  letter: Addressees & Pick<FillResult, 'replyTo' | 'copy' | 'blindCopy'>,
): Addressing {
  const wrong: Addressing['wrong'] = [];
  const seen = new Set<string>();
  const only = (place: Addressing['wrong'][number]['place'], people: readonly Addressee[]) =>
    people.filter(({ email }) => {
      if (isAddress(email)) return true;
      wrong.push({ place, text: email });
      return false;
    });
  const line = (place: Addressing['wrong'][number]['place'], text: string | undefined) => {
    if (!text?.trim()) return [];
    const read = readMailboxes(text);
    if (!read) wrong.push({ place, text });
    return read ?? [];
  };
  const once = (people: readonly Addressee[]) =>
    people.filter(({ email }) => {
      const key = email.toLowerCase();
      return !seen.has(key) && seen.add(key);
    });
  return {
    from: letter.from,
    to: once(only('To', letter.to)),
    copies: once([...only('Copy', letter.copies), ...line('Copy', letter.copy)]),
    blindCopies: once(line('Blind copy', letter.blindCopy)),
    replyTo: line('Reply to', letter.replyTo),
    wrong: [...wrong, ...badSender(letter.from)],
  };
}

function badSender({ email }: Addressee): Addressing['wrong'] {
  return email && !isAddress(email) ? [{ place: 'From', text: email }] : [];
}
