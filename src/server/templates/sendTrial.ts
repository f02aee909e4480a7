import { UniqueConstraintError } from 'sequelize';
import type { Trial, TrialAnswer } from '../../core/contract/trials';
import { addressingOf } from '../../core/addressing/addressingOf';
import { writeCopy } from '../../core/fairCopy/writeCopy';
import { languageOf } from '../../core/fill/fillInto';
import { escapeHtml } from '../../core/fill/write/escape';
import { directed } from '../../core/fill/write/directed';
import { fullName } from '../../core/people/names';
import { inWords } from '../../core/problems/problem';
import type { StartingPoint } from '../../core/records/which/situation';
import type { Template } from '../../core/template/template';
import { alongInWords } from '../../core/writing/goesAlong';
import { WritingDesk, type FilledLetter } from '../../core/writing/writingDesk';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
import type { Attached } from '../../data/repositories/sending/attachments';
import { keepOutgoing } from '../../data/repositories/sending/keepOutgoing';
import { scopeFrom, startingRecord } from '../../data/repositories/startingRecords';
import { templateByKey } from '../../data/repositories/templates/templatesOfBusiness';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { filesThatGo } from '../letters/filesThatGo';
import { wordsFacts } from './wordsContext';
import { readWords, saySlow } from './wordsReader';

/**
 * Sends a template's words as they are being written, filled for one record, to a member: marked as a trial in the subject and at its
 * head, and without the copies that a letter would have. It is no letter of the client's and counts as none.
 */
export async function sendTrial(
  member: CurrentMember,
  key: string,
  start: StartingPoint,
  { id, to, text }: Omit<Trial, 'from'>,
): Promise<TrialAnswer> {
  if (!(await mayBeSeen(member, key))) return GONE;
  const facts = await wordsFacts(member);
  const { template, problems } = await readWords(text, facts).catch(saySlow);
  if (!template) return { result: 'wrong', error: problems.map(inWords).join(' ') };
  return fillAndKeep(member, { id, to, start, key, template, facts });
}

const GONE: TrialAnswer = { result: 'gone', error: 'This template is no longer there.' };

const mayBeSeen = forMember(
  async ({ business_id, id }: CurrentMember, key: string) =>
    (await templateByKey(connection(), business_id, id, key)) !== undefined,
);

interface Asked {
  id: string;
  to: string;
  start: StartingPoint;
  key: string;
  template: Template;
  facts: Awaited<ReturnType<typeof wordsFacts>>;
}

const fillAndKeep = forMember(
  async (member: CurrentMember, { id, to, start, key, template, facts }: Asked): Promise<TrialAnswer> => {
    const database = connection();
    const record = await startingRecord(database, member.business_id, start);
    if (!record) return { result: 'gone', error: 'This record is no longer there.' };
    const { passages, signatures, letterhead, files: known } = facts;
    const records = (await recordsOfBusiness(database, member.business_id, scopeFrom(record)))!;
    const templates = [{ ...template, key, version: 0 }];
    const desk = new WritingDesk({
      records,
      now: now(),
      templates,
      passages,
      signatures,
      letterhead,
      files: known,
      member: member.key,
    });
    const reader = desk.book.members.get(to);
    if (!reader) return { result: 'gone', error: 'There is no such member.' };
    if (!reader.email) return { result: 'wrong', error: `${fullName(reader)} has no email address.` };
    const filled = desk.fill(start, { template: key, answers: {} });
    if (!filled) return { result: 'wrong', error: 'This template cannot be filled for this record.' };
    const along = filled.along.filter(({ lacks }) => lacks === undefined);
    const goes = await filesThatGo({ ...member, client_id: record.client_id }, filled, along);
    if (!goes.files) return { result: 'wrong', error: goes.stops.join(' ') };
    const { from } = addressingOf(filled);
    const sender = from.email || reader.email;
    const { files } = goes;
    await keep(member, { id, filled, files, sender: { name: from.name, email: sender }, reader });
    return { result: 'going', to: fullName(reader) ?? reader.email };
  },
);

interface Filled {
  id: string;
  filled: FilledLetter;
  files: readonly Attached[];
  sender: { name: string; email: string };
  reader: { full_name?: string; email?: string };
}

/** One transaction, as with every letter: its words and whom it goes to are the queue of what is to be sent. */
async function keep(
  { business_id, id: member_id }: CurrentMember,
  { id, filled, files, sender, reader }: Filled,
): Promise<void> {
  const { name } = filled.template.head;
  const whom = filled.situation.client?.record.name;
  const missing = filled.along.filter(({ lacks }) => lacks !== undefined).map(alongInWords);
  const head = [
    `A trial of “${name}”${whom === undefined ? '' : `, filled for ${whom}`}. It went to nobody else.`,
    ...(missing.length ? [`Not with it: ${missing.join(', ')}.`] : []),
  ].join(' ');
  const copy = writeCopy(filled.document, filled.around);
  const language = languageOf(filled.template, filled.situation.book);
  const message = {
    business_id,
    id,
    member_id,
    subject: `Trial: ${copy.subject}`,
    text: `${head}\n\n${copy.text}`,
    html: directed(`<p><em>${escapeHtml(head)}</em></p><hr>${copy.html}`, language),
    language,
  };
  const recipients = [{ role: 'to' as const, name: reader.full_name ?? '', address: reader.email! }];
  try {
    await keepOutgoing(connection(), { message, from: sender, recipients, files }, new Date(now()), {
      in: 0,
    });
  } catch (error) {
    // The same trial came twice: it goes once.
    if (!(error instanceof UniqueConstraintError)) throw error;
  }
}
