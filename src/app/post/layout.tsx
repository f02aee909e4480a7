import { ownerKey } from '../../core/contract/ownerKey';
import type { ReactNode } from 'react';
import type { ListEntry } from '../../core/contract/list';
import { needsSomebody } from '../../core/cures/cures';
import { post } from '../../server/letters/post';
import { showLetters } from '../../server/letters/showLetters';
import { letterEntry } from '../../ui/post/letterEntry';
import type { ShownLetter } from '../../core/contract/letters';
import { PostIndex } from '../../ui/post/PostIndex';
import { PageArea } from '../../ui/shell/PageArea';
import { Shell } from '../../ui/shell/Shell';
import { requireMember } from '../session';

/** What needs somebody stands first, then answers that wait, then what waits for its hour, each under its own heading. */
function underHeadings(letters: readonly ShownLetter[]): ListEntry[] {
  const some = letters.some((letter) => headingOf(letter) !== EVERYTHING_ELSE);
  return letters.map((letter) => ({ ...letterEntry(letter), ...(some ? { day: headingOf(letter) } : {}) }));
}

const EVERYTHING_ELSE = 'Everything else';

function headingOf(letter: ShownLetter): string {
  if (needsSomebody(letter)) return 'Needs somebody';
  if (letter.waits) return letter.client || letter.about ? 'Answers waiting' : 'From somebody in no record';
  return letter.status === 'later' ? 'For later' : EVERYTHING_ELSE;
}

export default async function PostLayout({ children }: { children: ReactNode }) {
  const member = await requireMember();
  const { letters: newest, next } = await post(member);
  const letters = await showLetters(member, newest);
  return (
    <Shell member={member}>
      <PostIndex
        first={{ entries: underHeadings(letters), ...(next ? { next } : {}) }}
        owner={ownerKey(member.business_id, member.key)}
      />
      <PageArea>{children}</PageArea>
    </Shell>
  );
}
