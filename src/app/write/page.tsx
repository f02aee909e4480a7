import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Shell } from '../../ui/shell/Shell';
import { WritingPage } from '../../ui/writing/WritingPage';
import { requireMember } from '../session';
import { readStartingPoint } from '../startingPoint';

export const metadata: Metadata = { title: 'Write' };

type Props = { searchParams: Promise<{ from?: string | string[]; template?: string | string[] }> };

export default async function WritePage({ searchParams }: Props) {
  const member = await requireMember();
  const { from, template } = await searchParams;
  const start = readStartingPoint(from);
  if (!start) notFound();
  return (
    <Shell member={member}>
      <WritingPage start={start} {...(typeof template === 'string' ? { template } : {})} />
    </Shell>
  );
}
