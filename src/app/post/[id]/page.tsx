import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { asksIn } from '../../../server/incoming/answersWaiting';
import { oneLetter } from '../../../server/letters/oneLetter';
import { whyLetterWaits } from '../../../server/sending/sendingState';
import { sharedRights } from '../../../server/templates/sharedRights';
import { showLetters } from '../../../server/letters/showLetters';
import { LetterPaper } from '../../../ui/post/LetterPaper';
import { requireMember } from '../../session';

type Props = { params: Promise<{ id: string }> };

const load = cache(async (id: string) => oneLetter(await requireMember(), id));

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const letter = await load((await params).id);
  return { title: letter ? letter.subject || 'Text message' : 'Nothing found' };
}

export default async function LetterRoute({ params }: Props) {
  const letter = await load((await params).id);
  if (!letter) notFound();
  const member = await requireMember();
  const [shown] = await showLetters(member, [letter]);
  const due = letter.status === 'going' && letter.goes_in === 0;
  const waits = due ? await whyLetterWaits(member, letter.id) : undefined;
  const asks = await asksIn(member, letter);
  const members = letter.waits ? await sharedRights(member) : [];
  return (
    <LetterPaper
      letter={shown!}
      members={members}
      {...(waits ? { waits } : {})}
      {...(asks ? { asks } : {})}
    />
  );
}
