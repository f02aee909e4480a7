import type { LetterheadToKeep } from '../../core/contract/letterhead';
import type { NamedAnswer } from '../../core/contract/named';
import type { LetterheadPart } from '../../core/template/template';
import { printMarkdown } from '../../core/template/text/printMarkdown';
import { letterheadPart, updateLetterhead } from '../../data/repositories/templates/letterhead';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { mustChangeShared } from '../signIn/rights';
import { forMember } from '../forMember';
import { changedAnswer, wrong } from './named';
import { readOwnWords } from './ownWords';
import { wordsFacts } from './wordsContext';

/** A part of the letterhead to be written, in its text form. */
export const letterheadToWrite = forMember(
  async ({ business_id }: CurrentMember, part: LetterheadPart): Promise<LetterheadToKeep> => {
    const { version, document } = await letterheadPart(connection(), business_id, part);
    return { version, text: printMarkdown(document) };
  },
);

/** Keeps a part of it: its fields must be found whatever a letter starts from. Without words there is none. */
export async function keepLetterhead(
  member: CurrentMember,
  part: LetterheadPart,
  { version, text }: LetterheadToKeep,
): Promise<NamedAnswer> {
  mustChangeShared(member);
  const reading = await readOwnWords('letterhead', text, await wordsFacts(member));
  if (reading.problems) return wrong(reading.problems);
  const { document } = reading;
  const changed = await update(member, part, version, document);
  return changedAnswer('letterhead', changed, part, version + 1);
}

const update = forMember(
  (
    { business_id }: CurrentMember,
    part: LetterheadPart,
    version: number,
    document: Parameters<typeof updateLetterhead>[4],
  ) => updateLetterhead(connection(), business_id, part, version, document),
);
