import type { ShownLetter } from '../../core/contract/letters';
import type { Morning, MorningLine } from '../../core/telling/morningWords';
import { writePath } from '../../core/writing/writePath';
import { answersWaiting } from '../incoming/answersWaiting';
import { needsSomebody } from '../sending/needsSomebody';
import type { CurrentMember } from '../signIn/currentMember';
import { today } from '../today/today';

/** What waits for a member this morning: what is theirs, and what is nobody's. */
export async function morningOf(member: CurrentMember): Promise<Morning> {
  const { known, unknown, unread } = await answersWaiting(member);
  const needs = await needsSomebody(member);
  const shown = await today(member);
  const isTheirs = ({ member_key }: ShownLetter) => member_key === null || member_key === member.key;
  const answers = [...known, ...unknown.map(({ letter }) => letter)].filter(isTheirs);
  return {
    date: shown.date,
    name: member.full_name.split(' ')[0] ?? member.full_name,
    answers: answers.map((letter) =>
      lineOf(letter, letter.from_name || letter.client || letter.from_address),
    ),
    trouble: [
      ...needs.letters
        .filter(isTheirs)
        .map((letter) => lineOf(letter, letter.recipients[0]?.name || letter.recipients[0]?.address)),
      ...unread.map((words) => ({ words, path: '/settings/mailbox' })),
    ],
    letters: shown.cards
      .filter(({ whose }) => whose === undefined)
      .map(({ name, reason, start, template }) => ({
        words: `${name}: ${reason}`,
        path: writePath(start, template?.key),
      })),
    visits: shown.visits.map(({ key, time, name, service }) => ({
      words: [time, name, service].filter(Boolean).join(', '),
      path: `/work/bookings/${encodeURIComponent(key)}`,
    })),
  };
}

function lineOf({ id, subject }: ShownLetter, who: string | null | undefined): MorningLine {
  return { words: `${who || 'Somebody'}: ${subject || 'without a subject'}`, path: `/post/${id}` };
}
