import type { Metadata } from 'next';
import { needsSomebody } from '../../server/sending/needsSomebody';
import { NeedsSomebody } from '../../ui/post/NeedsSomebody';
import { requireMember } from '../session';

export const metadata: Metadata = { title: 'Post' };

export default async function PostPage() {
  const member = await requireMember();
  return (
    <div className="post-page">
      <NeedsSomebody needs={await needsSomebody(member)} me={member.key} />
      <p className="hint">Choose a letter to see it as it was sent, and what became of it.</p>
    </div>
  );
}
