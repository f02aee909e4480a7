import { UniqueConstraintError } from 'sequelize';
import type { SendAnswer } from '../../core/contract/letters';
import { addressingOf, type Addressing } from '../../core/addressing/addressingOf';
import type { CopyDocument } from '../../core/document/copyDocument';
import type { Addressee } from '../../core/fill/filled';
import { languageOf } from '../../core/fill/fillInto';
import type { StartingPoint } from '../../core/records/which/situation';
import { changedFacts, type LetterFacts } from '../../core/writing/factsOf';
import type { Choices } from '../../core/writing/letter';
import { linesOf } from '../../core/proof/reading/lines';
import { namedIn } from '../../core/proof/reading/namedIn';
import { proofLetter } from '../../core/writing/proofLetter';
import { WritingDesk, type FilledLetter } from '../../core/writing/writingDesk';
import { settleEarlier } from '../../data/repositories/sending/curedLetters';
import type { Attached } from '../../data/repositories/sending/attachments';
import { letterById } from '../../data/repositories/letters';
import { keepOutgoing } from '../../data/repositories/sending/keepOutgoing';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
import { scopeFrom, startingRecord, type StartingRecord } from '../../data/repositories/startingRecords';
import { sharedWords } from '../../data/repositories/templates/sharedWords';
import { templateAtVersion } from '../../data/repositories/templates/templatesOfBusiness';
import { now } from '../clock';
import { connection } from '../connection';
import { pastLetters } from '../../data/repositories/pastLetters';
import { filesThatGo } from '../letters/filesThatGo';
import { othersNamed } from '../letters/ofOthers';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';

/** How long a letter can be taken back. */
export const TAKE_BACK_SECONDS = 10;

/** A letter as it comes from its writer. */
export interface WrittenLetter {
  /** made when writing began: the same letter sent again is none */
  id: string;
  start: StartingPoint;
  choices: Choices;
  templateVersion: number;
  document: CopyDocument;
  /** what its writer saw */
  facts: LetterFacts;
}

/**
 * Takes a letter to be sent. It is filled again from the records as they are, and refused when a fact in it is no
 * longer so. The exact text, HTML, recipients and values are written in one transaction, and are the queue of what is to be sent.
 */
export const sendLetter = forMember(
  async (member: CurrentMember, letter: WrittenLetter): Promise<SendAnswer> => {
    const database = connection();
    const { business_id } = member;
    const before = await letterById(database, business_id, letter.id);
    if (before) return { result: 'already', status: before.status, goesIn: before.goes_in };
    const [record, template, { own, passages, signatures, letterhead, files }] = await Promise.all([
      startingRecord(database, business_id, letter.start),
      templateAtVersion(database, business_id, member.id, letter.choices.template, letter.templateVersion),
      sharedWords(database, business_id),
    ]);
    if (!record) return { result: 'gone', what: 'record' };
    if (!template) return { result: 'gone', what: 'template' };
    const scope = scopeFrom(letter.start, record);
    const records = (await recordsOfBusiness(database, business_id, scope, own))!;
    const letters = await pastLetters(database, business_id, member.id, scope, letter.id);
    const desk = new WritingDesk({
      records,
      now: now(),
      templates: [template],
      passages,
      signatures,
      letterhead,
      files,
      letters,
      member: member.key,
    });
    const filled = desk.fill(letter.start, letter.choices);
    if (!filled) return { result: 'gone', what: 'template' };
    const changed = changedFacts(letter.facts, filled, letter.document);
    if (changed.length) return { result: 'changed', changed };
    const named = namedIn(linesOf(letter.document), filled.situation);
    const others = await othersNamed(business_id, named, record.client_id);
    const proofed = proofLetter(letter.document, filled, others);
    const { marks, addressing: _, signatureAt = null, ...words } = proofed;
    const written = {
      ...words,
      signature_at: signatureAt,
      language: languageOf(filled.template, filled.situation.book),
    };
    // A query that was let stand is none any more.
    const stops = marks.map(({ message }) => message);
    if (stops.length) return { result: 'stopped', stops };
    const { leftOut = [] } = letter.choices;
    const along = filled.along.filter(({ id }) => !leftOut.includes(id));
    const goes = await filesThatGo({ business_id, client_id: record.client_id }, filled, along);
    if (!goes.files) return { result: 'stopped', stops: goes.stops };
    try {
      await keep(member, letter, { record, templateId: template.id, filled, written, files: goes.files });
    } catch (error) {
      // The same letter came twice at once; the other one was first.
      if (!(error instanceof UniqueConstraintError)) throw error;
      const first = await letterById(database, business_id, letter.id);
      if (!first) throw error;
      return { result: 'already', status: first.status, goesIn: first.goes_in };
    }
    return { result: 'going', goesIn: TAKE_BACK_SECONDS * 1000 };
  },
);

interface Kept {
  record: StartingRecord;
  templateId: string;
  filled: FilledLetter;
  written: {
    subject: string;
    text: string;
    signature_at: number | null;
    html: string;
    language: string;
  };
  files: readonly Attached[];
}

async function keep(
  { business_id, id: member_id }: CurrentMember,
  { id, start, choices, templateVersion }: WrittenLetter,
  { record, templateId, filled, written, files }: Kept,
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
        template_version: templateVersion,
        notes: filled.notes,
        choices,
        reply_to: filled.replyTo || null,
      },
      from: addressing.from,
      recipients: recipientsOf(addressing),
      files,
    },
    new Date(now()),
    TAKE_BACK_SECONDS,
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
