import { CURES, type Cure, type Undo } from '../../core/cures/cures';
import { businessSettings } from '../../data/repositories/businessSettings';
import { cureLetter as cure } from '../../data/repositories/sending/curedLetters';
import { now } from '../clock';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { oneLetter } from '../letters/oneLetter';
import { forMember } from '../forMember';

export type Cured =
  | { result: 'done'; status: string; version: number }
  /** somebody else, or the worker, was first */
  | { result: 'changed'; status: string }
  | { result: 'none' };

/** Does something about a letter that did not go as it should, or takes that back. */
export const cureLetter = forMember(
  async (member: CurrentMember, id: string, name: Cure | Undo, version: number): Promise<Cured> => {
    const letter = await oneLetter(member, id);
    if (!letter) return { result: 'none' };
    // It is filled again before it goes, or not at all.
    if (name === 'send' && letter.canBeWrittenOn) return { result: 'changed', status: letter.status };
    const { business_id, id: member_id } = member;
    const { takeBackSeconds } = await businessSettings(connection(), business_id);
    const done = await cure(
      connection(),
      { business_id, member_id },
      id,
      { ...CURES[name], version },
      { at: new Date(now()), seconds: takeBackSeconds, detail: `By ${member.full_name}.` },
    );
    if (done === undefined) return { result: 'changed', status: (await oneLetter(member, id))!.status };
    return { result: 'done', status: CURES[name].to ?? letter.status, version: done };
  },
);
