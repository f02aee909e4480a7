import type { FirstLetter, WritingAnswer } from '../../core/contract/writing';
import { nameRecipient } from '../../core/describe/nameRecord';
import { nameStart } from '../../core/describe/nameStart';
import type { StartingPoint } from '../../core/records/which/situation';
import { proofLetter } from '../../core/writing/proofLetter';
import { WritingDesk } from '../../core/writing/writingDesk';
import type { CurrentMember } from '../signIn/currentMember';
import { factsForWriting } from './factsForWriting';
import { forMember } from '../forMember';

interface Asked {
  /** the template to begin with, by its key; absent: the likeliest */
  template?: string;
  /** the id of a message that is to be answered */
  reply?: string;
  /** the list of templates that the device has */
  edition?: string | undefined;
  /** whether the page is kept for when there is no connection: the letter is in it then, so that it is read at once */
  toKeep?: boolean;
}

/**
 * What a letter is written from, with the letter itself where its template's words came along. Undefined: there is no such
 * record.
 */
export const firstLetter = forMember(
  async (
    member: CurrentMember,
    start: StartingPoint,
    { toKeep, edition, ...asked }: Asked,
  ): Promise<{ facts: WritingAnswer; letter?: FirstLetter } | undefined> => {
    const all = await factsForWriting(member, start, { ...asked, edition: toKeep ? undefined : edition });
    if (!all) return undefined;
    const { list, words = [], ...rest } = all;
    // What the device has is not kept with each page.
    const facts = all.edition === edition ? rest : all;
    // The words that came along are those of the template it begins with.
    const [template] = words;
    // An answer begins with other words, and to whoever wrote.
    if (!list || !template || rest.answered) return { facts };
    const desk = new WritingDesk({ ...rest, ...list, templates: words });
    const filled = desk.fill(start, { template: template.key, answers: {} });
    if (!filled) return { facts };
    const { document, situation, around, along } = filled;
    return {
      facts,
      letter: {
        document,
        ...(around ? { around } : {}),
        along,
        addressing: proofLetter(document, filled).addressing,
        recipients: situation.recipients.map(({ record }) => nameRecipient(record)),
        name: situation.client?.record.name ?? situation.client?.record.email ?? 'somebody',
        from: nameStart(situation),
        template: template.head.name,
        ...(rest.lastSaid === undefined ? {} : { lastSaid: rest.lastSaid }),
      },
    };
  },
);
