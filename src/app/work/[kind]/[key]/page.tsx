import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { RecordRoute, recordTitle } from '../../../recordPage';
import { requireMember } from '../../../session';
import { WORK_KINDS } from '../../kinds';

type Props = { params: Promise<{ kind: string; key: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { kind, key } = await params;
  const work = WORK_KINDS.get(kind);
  return work ? recordTitle(work.kind, key) : { title: 'Nothing found' };
}

export default async function WorkPage({ params }: Props) {
  const { kind, key } = await params;
  const work = WORK_KINDS.get(kind);
  if (!work) notFound();
  const { words } = await requireMember();
  return (
    <RecordRoute kind={work.kind} segment={key} back={{ href: `/work/${kind}`, words: work.title(words) }} />
  );
}
