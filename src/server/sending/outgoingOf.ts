import { addressingOf, type Addressing } from '../../core/addressing/addressingOf';
import type { Addressee } from '../../core/fill/filled';
import type { StartingPoint } from '../../core/records/which/situation';
import { heldDays } from '../../core/writing/heldDays';
import { quotedBelow, type Replying } from '../../core/writing/reply';
import type { FilledLetter } from '../../core/writing/writingDesk';
import type { Outgoing } from '../../data/repositories/sending/keepOutgoing';
import { startingRecord } from '../../data/repositories/startingRecords';
import { connection } from '../connection';
import { toAnswer } from '../incoming/toAnswer';
import type { LetterWriter, ReadyLetter, WrittenLetter } from './readyToGo';

/** A letter that is ready as the message that goes: its words, its people, its files, and the records it is about. */
export async function outgoingOf(
  { business_id, id: member_id }: LetterWriter,
  { id, start, choices, templateVersion, document }: WrittenLetter,
  { record, templateId, filled, written, files }: ReadyLetter,
): Promise<Outgoing> {
  const addressing = addressingOf(filled);
  return {
    message: {
      business_id,
      id,
      ...written,
      client_id: record.client_id,
      project_id: record.project_id,
      enquiry_id: record.enquiry_id,
      ...(await recordsWrittenAbout(business_id, filled, start)),
      member_id,
      template_id: templateId,
      template_version: templateId === null ? null : templateVersion,
      ...(await answering(business_id, choices.reply, filled, written.language)),
      notes: filled.notes,
      choices,
      reply_to: filled.replyTo || null,
    },
    from: addressing.from,
    recipients: recipientsOf(addressing),
    files,
    holds: choices.notHeld ? undefined : heldDays(document, filled),
  };
}

/** The message that it answers, whose thread it goes on in, with what of it stands below. */
async function answering(
  business_id: string,
  reply: Replying | undefined,
  { situation }: FilledLetter,
  language: string,
): Promise<Pick<Partial<Outgoing['message']>, 'answers' | 'thread_id' | 'quoted'>> {
  const answered = reply && (await toAnswer(business_id, reply.to, situation.book, language));
  if (!answered) return {};
  const { id, thread_id } = answered;
  return { answers: id, thread_id, quoted: reply.quotes ? quotedBelow(answered) : null };
}

/** The invoice or visit that a letter is about: the one it was written from, or the one taken instead. */
async function recordsWrittenAbout(
  business_id: string,
  { situation }: FilledLetter,
  { kind }: StartingPoint,
) {
  if (kind !== 'invoice' && kind !== 'booking') return {};
  const key = situation[kind]!.record.key;
  const found = await startingRecord(connection(), business_id, { kind, key });
  return { [`${kind}_id`]: found?.id ?? null, project_id: found?.project_id ?? null };
}

function recipientsOf({ to, copies, blindCopies }: Addressing) {
  const as = (role: 'to' | 'copy' | 'blind copy', people: readonly Addressee[]) =>
    people.map(({ name, email }) => ({ role, name, address: email }));
  return [...as('to', to), ...as('copy', copies), ...as('blind copy', blindCopies)];
}
