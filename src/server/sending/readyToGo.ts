import type { SendAnswer } from '../../core/contract/letters';
import type { CopyDocument } from '../../core/document/copyDocument';
import { languageOf } from '../../core/fill/fillInto';
import type { RecordBook } from '../../core/records/recordBook';
import type { StartingPoint } from '../../core/records/which/situation';
import { changedFacts, type LetterFacts } from '../../core/writing/factsOf';
import { isBlankLetter } from '../../core/template/blankLetter';
import type { Choices } from '../../core/writing/letter';
import { proofLetter } from '../../core/writing/proofLetter';
import { toLookUp } from '../../core/writing/toLookUp';
import { WritingDesk, type FilledLetter } from '../../core/writing/writingDesk';
import { businessSettings } from '../../data/repositories/businessSettings';
import { pastLetters } from '../../data/repositories/pastLetters';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
import type { Attached } from '../../data/repositories/sending/attachments';
import { scopeFrom, startOfLetter, type LetterStart } from '../../data/repositories/startingRecords';
import { sharedWords } from '../../data/repositories/templates/sharedWords';
import { templateAtVersion } from '../../data/repositories/templates/templatesOfBusiness';
import { now } from '../clock';
import { connection } from '../connection';
import { filesThatGo } from '../letters/filesThatGo';
import { lookedUp } from '../letters/lookUp';
import type { CurrentMember } from '../signIn/currentMember';

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

/** Why a letter may not go. */
export type WhyNot = Extract<SendAnswer, { result: 'changed' | 'stopped' | 'gone' }>;

/** Whoever writes a letter. */
export type LetterWriter = Pick<CurrentMember, 'business_id' | 'id' | 'key'>;

/** A letter that may go: as it goes, and what it was filled from. */
export interface ReadyLetter {
  record: LetterStart;
  /** null: a blank letter has none */
  templateId: string | null;
  filled: FilledLetter;
  /** the records as of now */
  book: RecordBook;
  written: {
    subject: string;
    text: string;
    signature_at: number | null;
    html: string;
    language: string;
  };
  files: readonly Attached[];
  /** so long it can be taken back */
  takeBackSeconds: number;
}

/**
 * Fills a letter again from the records as they are, and looks whether it may go: no fact in it is other than its writer saw it, the
 * proof has nothing to say that was not let stand, and all that goes along can be had.
 */
export async function readyToGo(member: LetterWriter, letter: WrittenLetter): Promise<ReadyLetter | WhyNot> {
  const database = connection();
  const { business_id } = member;
  const { template: key } = letter.choices;
  const isBlank = isBlankLetter(key);
  const atVersion = (template: string, version: number) =>
    templateAtVersion(database, business_id, member.id, template, version);
  const putIn = letter.choices.putIn ?? [];
  const [record, template, others, { own, passages, signatures, letterhead, files }] = await Promise.all([
    startOfLetter(database, business_id, letter.start),
    isBlank ? undefined : atVersion(key, letter.templateVersion),
    Promise.all(putIn.map((one) => atVersion(one.template, one.version))),
    sharedWords(database, business_id),
  ]);
  if (!record) return { result: 'gone', what: 'record' };
  const there = others.flatMap((one) => one ?? []);
  if ((!template && !isBlank) || there.length < putIn.length) return { result: 'gone', what: 'template' };
  const scope = scopeFrom(record);
  const records = (await recordsOfBusiness(database, business_id, scope, own))!;
  const letters = await pastLetters(database, business_id, member.id, scope, letter.id);
  const { sameLetterDays, takeBackSeconds } = await businessSettings(database, business_id);
  const desk = new WritingDesk({
    records,
    now: now(),
    templates: [...(template ? [template] : []), ...there],
    passages,
    signatures,
    letterhead,
    files,
    letters,
    sameLetterDays,
    member: member.key,
  });
  const filled = desk.fill(letter.start, letter.choices);
  if (!filled) return { result: 'gone', what: 'template' };
  const changed = changedFacts(letter.facts, filled, letter.document);
  if (changed.length) return { result: 'changed', changed };
  const about = { start: letter.start, record };
  const known = await lookedUp(business_id, toLookUp(letter.document, filled), about);
  const proofed = proofLetter(letter.document, filled, known);
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
  const templateId = template?.id ?? null;
  return { record, templateId, filled, book: desk.book, written, files: goes.files, takeBackSeconds };
}
