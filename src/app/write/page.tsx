import type { Metadata } from 'next';
import { cookies, headers } from 'next/headers';
import { notFound } from 'next/navigation';
import { EDITION_COOKIE } from '../../core/contract/writing';
import { firstLetter } from '../../server/writing/firstLetter';
import { Shell } from '../../ui/shell/Shell';
import { LetterToRead } from '../../ui/writing/LetterToRead';
import { WritingPage } from '../../ui/writing/WritingPage';
import { requireMember } from '../session';
import { readStartingPoint } from '../../core/records/which/readStartingPoint';

export const metadata: Metadata = { title: 'Write' };

type Props = {
  searchParams: Promise<Partial<Record<'from' | 'template' | 'reply', string | string[]>>>;
};

export default async function WritePage({ searchParams }: Props) {
  const member = await requireMember();
  const { from, template, reply } = await searchParams;
  const start = readStartingPoint(from);
  if (!start) notFound();
  const asked = {
    ...(typeof template === 'string' ? { template } : {}),
    ...(typeof reply === 'string' ? { reply } : {}),
  };
  // A document brings its letter along; within the application the page asks for it, and for no more than it lacks.
  const sent = await headers();
  const document = sent.get('accept')?.includes('text/html');
  const edition = (await cookies()).get(EDITION_COOKIE)?.value;
  const first = document
    ? await firstLetter(member, start, { ...asked, edition, toKeep: sent.has('x-keep') })
    : undefined;
  return (
    <Shell member={member}>
      <WritingPage
        key={`${start.kind}:${start.key}`}
        start={start}
        {...(first ? { given: first.facts } : {})}
      >
        {first?.letter && <LetterToRead letter={first.letter} />}
      </WritingPage>
    </Shell>
  );
}
