import type { WritingAnswer } from '../../core/contract/writing';
import { dayLately } from '../../core/describe/dayLately';
import { lastSaid } from '../../core/describe/lastSaid';
import { countriesOf } from '../../core/fill/formats/phones/countriesOf';
import { SCHEMA_DEFAULTS } from '../../core/records/defaults';
import { RecordBook } from '../../core/records/recordBook';
import type { RecordsFile } from '../../core/records/recordsFile';
import type { StartingPoint } from '../../core/records/which/situation';
import { beginsWith } from '../../core/writing/beginsWith';
import type { AnsweredMessage } from '../../core/writing/reply';
import { WritingDesk } from '../../core/writing/writingDesk';
import { businessSettings } from '../../data/repositories/businessSettings';
import { draftsThere } from '../../data/repositories/drafts';
import { lastMessages } from '../../data/repositories/lastMessages';
import { pastLetters } from '../../data/repositories/pastLetters';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
import { scopeFrom, startOfLetter } from '../../data/repositories/startingRecords';
import { templatesInDraft } from '../../data/repositories/templates/templateDrafts';
import { editionOfTemplates, templatesByKey } from '../../data/repositories/templates/templatesOfBusiness';
import { toAnswer } from '../incoming/toAnswer';
import { isLetterId } from '../letters/oneLetter';
import { areDaysTaken } from '../records/freeDays';
import { now } from '../clock';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { templateList } from '../templates/templateList';
import { forMember } from '../forMember';

interface Asked {
  /** the template to begin with, by its key; absent: the likeliest */
  template?: string | undefined;
  /** the list of templates that the device has */
  edition?: string | undefined;
  /** the id of a message that is to be answered */
  reply?: string | undefined;
}

/**
 * What a letter is written from: one client's records, and the templates where the device does not have them. Their words
 * do not come along, but for those the letter begins with.
 * @returns undefined: there is no such record
 */
export const factsForWriting = forMember(
  async (
    member: CurrentMember,
    start: StartingPoint,
    asked: Asked = {},
  ): Promise<WritingAnswer | undefined> => {
    const { business_id, id, key } = member;
    const database = connection();
    const record = await startOfLetter(database, business_id, start);
    if (!record) return undefined;
    const scope = scopeFrom(record);
    const [records, letters, edition, reworded, { sameLetterDays }, drafts, last] = await Promise.all([
      recordsOfBusiness(database, business_id, scope),
      pastLetters(database, business_id, id, scope),
      editionOfTemplates(database, business_id, id),
      templatesInDraft(database, { business_id, member_id: id }),
      businessSettings(database, business_id),
      draftsThere(database, { business_id, member_id: id }, start),
      lastMessages(database, business_id, scope),
    ]);
    const said = lastSaid(last, dayLately(new RecordBook(records!, now())));
    const daysTaken = await areDaysTaken(business_id, start, records!);
    const answered = await answeredOf(business_id, asked.reply, records!);
    const facts = {
      records: records!,
      ...(daysTaken === undefined ? {} : { daysTaken }),
      ...(answered ? { answered } : {}),
      ...(said === undefined ? {} : { lastSaid: said }),
      now: now(),
      member: key,
      business: business_id,
      letters,
      drafts,
      sameLetterDays,
      reworded,
      phones: countriesOf(records!),
      edition,
    };
    if (edition === asked.edition) return facts;
    const list = await templateList(member);
    const desk = new WritingDesk({ ...facts, ...list });
    const first = beginsWith(desk, start, letters, asked.template);
    const words = first === undefined ? [] : await templatesByKey(database, business_id, id, [first]);
    return { ...facts, list, words };
  },
);

/** The message that is to be answered, where one is asked for and there is one. */
async function answeredOf(
  business_id: string,
  id: string | undefined,
  records: RecordsFile,
): Promise<AnsweredMessage | undefined> {
  if (id === undefined || !isLetterId(id)) return undefined;
  const language = records.clients?.[0]?.language ?? records.business.locale ?? SCHEMA_DEFAULTS.locale;
  const found = await toAnswer(business_id, id, new RecordBook(records, now()), language);
  if (!found) return undefined;
  const { thread_id: _, ...answered } = found;
  return answered;
}
