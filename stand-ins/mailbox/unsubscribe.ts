import { isHere } from './here';
import { headerOf, type Letter } from './letters';

/** What a mail program asks for when its user wants no more of a circular (RFC 8058). */
const ONE_CLICK = 'List-Unsubscribe=One-Click';

/** How a letter says that its reader may have no more of its kind (RFC 2369, 3.2); undefined: it does not, or not in one press. */
export function unsubscribeAddress(letter: Pick<Letter, 'headers'>): string | undefined {
  if (headerOf(letter, 'list-unsubscribe-post').trim() !== ONE_CLICK) return undefined;
  return /<\s*(https?:[^>]+?)\s*>/.exec(headerOf(letter, 'list-unsubscribe'))?.[1];
}

/** Asks for no more, as a mail program does. @throws Error where the letter has no way to, where that is elsewhere, or it was refused */
export async function unsubscribe(letter: Pick<Letter, 'headers'>): Promise<void> {
  const address = unsubscribeAddress(letter);
  if (address === undefined)
    throw new Error('This letter does not say how to have no more: letters to one person do not.');
  if (!isHere(address)) throw new Error(`${address} is not on this machine.`);
  const { ok, status } = await fetch(address, {
    method: 'POST',
    headers: { 'content-type': 'application/x-www-form-urlencoded' },
    body: ONE_CLICK,
  });
  if (!ok) throw new Error(`It was answered by ${status}.`);
}
