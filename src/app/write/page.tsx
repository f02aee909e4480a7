import type { Metadata } from 'next';
import { cookies, headers } from 'next/headers';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { EDITION_COOKIE } from '../../core/contract/writing';
import { firstLetter } from '../../server/writing/firstLetter';
import { Shell } from '../../ui/shell/Shell';
import { LetterToRead } from '../../ui/writing/LetterToRead';
import { WritingPage } from '../../ui/writing/WritingPage';
import { requireMember } from '../session';
import { readStartingPoint } from '../../core/records/which/readStartingPoint';

type Props = {
  searchParams: Promise<Partial<Record<'from' | 'template' | 'reply', string | string[]>>>;
};

/** A document brings its letter along; within the application the page asks for it, and for no more than it lacks. */
const load = cache(async (from: string, template: string | undefined, reply: string | undefined) => {
  const member = await requireMember();
  const start = readStartingPoint(from);
  const sent = await headers();
  if (!start || !sent.get('accept')?.includes('text/html')) return undefined;
  const edition = (await cookies()).get(EDITION_COOKIE)?.value;
  const asked = { ...(template ? { template } : {}), ...(reply ? { reply } : {}) };
  return firstLetter(member, start, { ...asked, edition, toKeep: sent.has('x-keep') });
});

const loadAsked = async (asked: Props['searchParams']) => {
  const [from, template, reply] = await asked.then(({ from, template, reply }) =>
    [from, template, reply].map((one) => (typeof one === 'string' ? one : undefined)),
  );
  return from === undefined ? undefined : load(from, template, reply);
};

/** What a page that is kept is found by; whoever writes on it is told by the page itself. */
export async function generateMetadata({ searchParams }: Props): Promise<Metadata> {
  const letter = (await loadAsked(searchParams))?.letter;
  return { title: letter ? `Write to ${letter.name}: ${letter.template}` : 'Write' };
}

export default async function WritePage({ searchParams }: Props) {
  const member = await requireMember();
  const start = readStartingPoint((await searchParams).from);
  if (!start) notFound();
  const first = await loadAsked(searchParams);
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
