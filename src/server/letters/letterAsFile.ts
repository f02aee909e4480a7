import type { SendAnswer } from '../../core/contract/letters';
import { imageSources } from '../../core/fill/write/images';
import { letterFileName } from '../../core/papers/paperNames';
import { picturesOfBusiness } from '../../data/repositories/files/pictures';
import { contentsOf } from '../../data/repositories/sending/attachments';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import { readyToGo, type WrittenLetter } from '../sending/readyToGo';
import type { CurrentMember } from '../signIn/currentMember';
import { composeLetter } from './composeLetter';

/** A letter as a message file (RFC 5322), with all that goes along; or what keeps it from going. Nothing of it is kept. */
export const letterAsFile = forMember(
  async (
    member: CurrentMember,
    letter: WrittenLetter,
  ): Promise<{ name: string; content: Buffer } | SendAnswer> => {
    const ready = await readyToGo(member, letter);
    if ('result' in ready) return ready;
    const { business_id } = member;
    const { language, signature_at, ...words } = ready.written;
    const message = await composeLetter(
      { ...ready.filled, ...words, ...(signature_at === null ? {} : { signatureAt: signature_at }) },
      {
        date: new Date(now()),
        language,
        pictures: await picturesOfBusiness(connection(), business_id, imageSources(words.html)),
        attachments: await contentsOf(connection(), business_id, ready.files),
      },
    );
    return { name: letterFileName(words.subject), content: Buffer.from(message) };
  },
);
