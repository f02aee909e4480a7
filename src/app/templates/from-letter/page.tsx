import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { now } from '../../../server/clock';
import { letterForTemplate } from '../../../server/templates/letterForTemplate';
import { templatesByGroup } from '../../../server/templates/templatesByGroup';
import { wordsFacts } from '../../../server/templates/wordsContext';
import { FromLetter } from '../../../ui/templates/fromLetter/FromLetter';
import { PasteLetter } from '../../../ui/templates/fromLetter/PasteLetter';
import { WrittenLetter } from '../../../ui/templates/fromLetter/WrittenLetter';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'A template of a letter' };

type Props = { searchParams: Promise<{ letter?: string | string[]; written?: string }> };

export default async function FromLetterPage({ searchParams }: Props) {
  const member = await requireMember();
  const { letter: id, written } = await searchParams;
  const letter = typeof id === 'string' ? await letterForTemplate(member, id) : undefined;
  if (id !== undefined && !letter) notFound();
  const [grouped, facts] = await Promise.all([templatesByGroup(member), wordsFacts(member)]);
  const groups = grouped.filter(({ key }) => key !== '').map(({ key, name }) => ({ key, name }));
  const shared = { facts, groups, words: member.words };
  if (written !== undefined) return <WrittenLetter {...shared} />;
  return letter ? (
    <FromLetter letter={letter} {...shared} />
  ) : (
    <PasteLetter {...shared} at={now()} member={member.key} />
  );
}
