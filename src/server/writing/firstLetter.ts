import type { FirstLetter, WritingAnswer } from '../../core/contract/writing';
import { nameRecipient } from '../../core/describe/nameRecord';
import { nameStart } from '../../core/describe/nameStart';
import type { StartingPoint } from '../../core/records/which/situation';
import { proofLetter } from '../../core/writing/proofLetter';
import { WritingDesk } from '../../core/writing/writingDesk';
import type { CurrentMember } from '../signIn/currentMember';
import { factsForWriting } from './factsForWriting';
import { forMember } from '../forMember';

/**
 * What a letter is written from, with the letter itself where its template's words came along. Undefined: there is no such
 * record.
 */
export const firstLetter = forMember(
  async (
    member: CurrentMember,
    start: StartingPoint,
    asked: { template?: string | undefined; edition?: string | undefined },
  ): Promise<{ facts: WritingAnswer; letter?: FirstLetter } | undefined> => {
    const facts = await factsForWriting(member, start, asked);
    if (!facts) return undefined;
    const { list, words = [] } = facts;
    // The words that came along are those of the template it begins with.
    const [template] = words;
    if (!list || !template) return { facts };
    const desk = new WritingDesk({ ...facts, ...list, templates: words });
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
      },
    };
  },
);
