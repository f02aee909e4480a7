import { UniqueConstraintError } from 'sequelize';
import type { SendAnswer } from '../../core/contract/letters';
import { addressingOf, type Addressing } from '../../core/addressing/addressingOf';
import type { Addressee } from '../../core/fill/filled';
import type { StartingPoint } from '../../core/records/which/situation';
import type { FilledLetter } from '../../core/writing/writingDesk';
import { settleEarlier } from '../../data/repositories/sending/curedLetters';
import { letterById } from '../../data/repositories/letters';
import { keepOutgoing, type Goes } from '../../data/repositories/sending/keepOutgoing';
import { startingRecord } from '../../data/repositories/startingRecords';
import { now } from '../clock';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';
import { readyToGo, type ReadyLetter, type WrittenLetter } from './readyToGo';

/**
 * Takes a letter to be sent, as it is ready to go. The exact text, HTML, recipients and values are written in one transaction, and are
 * the queue of what is to be sent.
 */
export const sendLetter = forMember(
  async (member: CurrentMember, letter: WrittenLetter): Promise<SendAnswer> =>
    keepReady(member, letter, ({ takeBackSeconds }) => ({ in: takeBackSeconds })),
);

/** Notes a letter that has gone another way, with all that it said: it is not sent from here. */
export const noteElsewhere = forMember(
  async (member: CurrentMember, letter: WrittenLetter): Promise<SendAnswer> =>
    keepReady(member, letter, () => 'elsewhere'),
);

async function keepReady(
  member: CurrentMember,
  letter: WrittenLetter,
  goesWhen: (ready: ReadyLetter) => Goes,
): Promise<SendAnswer> {
  const { business_id } = member;
  const already = async (): Promise<SendAnswer | undefined> => {
    const before = await letterById(connection(), business_id, letter.id);
    return before && { result: 'already', status: before.status, goesIn: before.goes_in };
  };
  const before = await already();
  if (before) return before;
  const ready = await readyToGo(member, letter);
  if ('result' in ready) return ready;
  const goes = goesWhen(ready);
  try {
    await keep(member, letter, ready, goes);
  } catch (error) {
    // The same letter came twice at once; the other one was first.
    const first = error instanceof UniqueConstraintError && (await already());
    if (!first) throw error;
    return first;
  }
  return goes === 'elsewhere' ? { result: 'noted' } : { result: 'going', goesIn: goes.in * 1000 };
}

async function keep(
  { business_id, id: member_id }: CurrentMember,
  { id, start, choices, templateVersion }: WrittenLetter,
  { record, templateId, filled, written, files }: ReadyLetter,
  goes: Goes,
): Promise<void> {
  const addressing = addressingOf(filled);
  await keepOutgoing(
    connection(),
    {
      message: {
        business_id,
        id,
        ...written,
        client_id: record.client_id,
        project_id: record.project_id,
        enquiry_id: start.kind === 'enquiry' ? record.id : null,
        ...(await recordsWrittenAbout(business_id, filled, start)),
        member_id,
        template_id: templateId,
        template_version: templateId === null ? null : templateVersion,
        notes: filled.notes,
        choices,
        reply_to: filled.replyTo || null,
      },
      from: addressing.from,
      recipients: recipientsOf(addressing),
      files,
    },
    new Date(now()),
    goes,
  );
  await settleEarlier(connection(), { business_id, id });
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
