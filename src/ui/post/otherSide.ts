import type { ShownLetter } from '../../core/contract/letters';

/** "To Hale Brandreth", "From Oda Hartigan" */
export function otherSide(letter: ShownLetter): string {
  return letter.direction === 'in' ? `From ${fromWhom(letter)}` : `To ${toWhom(letter)}`;
}

/** Whoever wrote what came in, as they call themselves. */
export function fromWhom({ from_name, from_address, client }: ShownLetter): string {
  return from_name || client || from_address || 'somebody';
}

/** The names of whom it goes to. */
export function toWhom({ recipients, client }: ShownLetter): string {
  const names = recipients.filter(({ role }) => role === 'to').map(({ name, address }) => name || address);
  return names.join(' and ') || (client ?? 'nobody');
}
