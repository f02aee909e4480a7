import { addressingOf } from '../../core/addressing/addressingOf';
import type { SendAnswer } from '../../core/contract/letters';
import type { Addressee } from '../../core/fill/filled';
import { imageSources } from '../../core/fill/write/images';
import { picturesOfBusiness } from '../../data/repositories/files/pictures';
import { contentsOf } from '../../data/repositories/sending/attachments';
import { compose } from '../../post/compose';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import { readyToGo, type WrittenLetter } from '../sending/readyToGo';
import type { CurrentMember } from '../signIn/currentMember';

/** A letter as a message file (RFC 5322), with all that goes along; or what keeps it from going. Nothing of it is kept. */
export const letterAsFile = forMember(
  async (
    member: CurrentMember,
    letter: WrittenLetter,
  ): Promise<{ name: string; content: Buffer } | SendAnswer> => {
    const ready = await readyToGo(member, letter);
    if ('result' in ready) return ready;
    const { business_id } = member;
    const { filled, written, files } = ready;
    const { from, to, copies, blindCopies, replyTo } = addressingOf(filled);
    const mailbox = ({ name, email }: Addressee) => ({ name, address: email });
    const { subject, text, html, language, signature_at } = written;
    const content = await compose({
      date: new Date(now()),
      from: mailbox(from),
      to: to.map(mailbox),
      copies: copies.map(mailbox),
      blindCopies: blindCopies.map(mailbox),
      replyTo: replyTo.map(mailbox),
      ...{ subject, text, html, language },
      ...(signature_at === null ? {} : { signatureAt: signature_at }),
      pictures: await picturesOfBusiness(connection(), business_id, imageSources(html)),
      attachments: await contentsOf(connection(), business_id, files),
    });
    return { name: `${subject.replace(/[^\p{L}\p{N} ._-]/gu, '-').slice(0, 80) || 'letter'}.eml`, content };
  },
);
