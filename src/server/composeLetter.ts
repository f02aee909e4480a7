import { fullName } from '../core/people/names';
import type { Filled } from '../core/fill/filled';
import type { Situation } from '../core/records/which/situation';
import { compose } from '../post/compose';

/** A filled template as a complete message from its sender, in the form of a .eml file. */
export async function composeLetter(
  filled: Filled,
  { sender, book }: Situation,
  { date }: { date: Date },
): Promise<string> {
  const address = (one: { name: string; email: string }) => ({ name: one.name, address: one.email });
  const { business } = book;
  const message = await compose({
    date,
    from: { name: fullName(sender) ?? business.name ?? '', address: sender.email ?? business.email ?? '' },
    to: filled.to.map(address),
    copies: filled.copies.map(address),
    ...(filled.replyTo ? { replyTo: filled.replyTo } : {}),
    subject: filled.subject,
    text: filled.text,
    html: filled.html,
  });
  return message.toString('utf8');
}
