import type { ReactNode } from 'react';
import { post } from '../../server/post';
import { showLetters } from '../../server/showLetters';
import { letterEntry } from '../../ui/letters/letterEntry';
import { PostIndex } from '../../ui/letters/PostIndex';
import { PageArea } from '../../ui/shell/PageArea';
import { Shell } from '../../ui/shell/Shell';
import { requireMember } from '../session';

export default async function PostLayout({ children }: { children: ReactNode }) {
  const member = await requireMember();
  const letters = await showLetters(member, await post(member));
  return (
    <Shell member={member}>
      <PostIndex
        entries={letters.map(letterEntry)}
        owner={`${member.business_id} ${member.key}`}
        going={letters.some(({ status }) => status === 'going')}
      />
      <PageArea>{children}</PageArea>
    </Shell>
  );
}
