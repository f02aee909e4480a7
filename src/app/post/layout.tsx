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

/** What needs somebody stands first, under its own heading. */
function underHeadings(letters: readonly ShownLetter[]): ListEntry[] {
  const some = letters.some(needsSomebody);
  return letters.map((letter) => ({
    ...letterEntry(letter),
    ...(some ? { day: needsSomebody(letter) ? 'Needs somebody' : 'Everything else' } : {}),
  }));
}

export default async function PostLayout({ children }: { children: ReactNode }) {
  const member = await requireMember();
  const { letters: newest, next } = await post(member);
  const letters = await showLetters(member, newest);
  return (
    <Shell member={member}>
      <PostIndex
        first={{ entries: underHeadings(letters), ...(next ? { next } : {}) }}
        owner={`${member.business_id} ${member.key}`}
        going={letters.some(({ status }) => status === 'going')}
      />
      <PageArea>{children}</PageArea>
    </Shell>
  );
}
