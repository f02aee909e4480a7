import { ownerKey } from '../../../../core/contract/ownerKey';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { letterheadToWrite } from '../../../../server/templates/letterhead';
import { wordsFacts } from '../../../../server/templates/wordsContext';
import { LetterheadDesk } from '../../../../ui/templates/letterhead/LetterheadDesk';
import { requireMember } from '../../../session';

type Props = { params: Promise<{ part: string }> };

export const metadata: Metadata = { title: 'Letterhead' };

export default async function LetterheadPartPage({ params }: Props) {
  const { part } = await params;
  if (part !== 'top' && part !== 'foot') notFound();
  const member = await requireMember();
  return (
    <LetterheadDesk
      key={part}
      owner={ownerKey(member.business_id, member.key)}
      part={part}
      words={await letterheadToWrite(member, part)}
      facts={await wordsFacts(member)}
    />
  );
}
