import type { Metadata } from 'next';
import { needsSomebody } from '../../server/sending/needsSomebody';
import { answersWaiting } from '../../server/incoming/answersWaiting';
import { AnswersWaiting } from '../../ui/post/AnswersWaiting';
import { NeedsSomebody } from '../../ui/post/NeedsSomebody';
import { requireMember } from '../session';

export const metadata: Metadata = { title: 'Post' };

export default async function PostPage() {
  const member = await requireMember();
  return (
    <div className="post-page">
      <NeedsSomebody needs={await needsSomebody(member)} me={member.key} />
      <AnswersWaiting waiting={await answersWaiting(member)} me={member.key} />
      <p className="hint">Choose a letter to see it as it was sent, and what became of it.</p>
    </div>
  );
}
