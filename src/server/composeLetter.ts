import { fullName } from '../core/people/names';
import type { Filled } from '../core/fill/filled';
import type { Situation } from '../core/records/which/situation';
import { compose, type Pictures } from '../post/compose';
import { readAddresses } from '../post/readAddresses';

/** A filled template as a complete message from its sender, in the form of a .eml file. */
export async function composeLetter(
  filled: Filled,
  { sender, book }: Situation,
  { date, language, pictures }: { date: Date; language: string; pictures: Pictures },
): Promise<string> {
  const mailbox = (one: { name: string; email: string }) => ({ name: one.name, address: one.email });
  const { business } = book;
  const { signatureAt, replyTo } = filled;
  const message = await compose({
    date,
    from: { name: fullName(sender) ?? business.name ?? '', address: sender.email || business.email || '' },
    to: filled.to.map(mailbox),
    copies: [...filled.copies, ...readAddresses(filled.copy ?? '')].map(mailbox),
    ...(replyTo ? { replyTo } : {}),
    subject: filled.subject,
    text: filled.text,
    ...(signatureAt === undefined ? {} : { signatureAt }),
    html: filled.html,
    language,
    pictures,
  });
  return message.toString('utf8');
}
