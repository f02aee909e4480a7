import type { Addressees } from '../../core/addressing/addresseesOf';
import { addressingOf } from '../../core/addressing/addressingOf';
import type { Addressee, Filled } from '../../core/fill/filled';
import { compose, type OutgoingLetter } from '../../post/compose';

export type { Attachment } from '../../post/compose';

/** A filled template with whom it comes from and goes to. */
export type AddressedLetter = Filled & Addressees;

/** A filled template as a complete message from its sender, in the form of a .eml file. */
export async function composeLetter(
  filled: AddressedLetter,
  { date, ...more }: Pick<OutgoingLetter, 'date' | 'language' | 'pictures' | 'attachments'>,
): Promise<string> {
  const mailbox = (one: Addressee) => ({ name: one.name, address: one.email });
  const { from, to, copies, blindCopies, replyTo } = addressingOf(filled);
  const { signatureAt } = filled;
  const message = compose({
    date,
    from: mailbox(from),
    to: to.map(mailbox),
    copies: copies.map(mailbox),
    blindCopies: blindCopies.map(mailbox),
    replyTo: replyTo.map(mailbox),
    subject: filled.subject,
    text: filled.text,
    ...(signatureAt === undefined ? {} : { signatureAt }),
    html: filled.html,
    ...more,
  });
  return message.toString('utf8');
}
