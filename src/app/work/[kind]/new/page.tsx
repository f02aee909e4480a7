import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { beginningFrom, type Asked } from '../../../beginningFrom';
import { NewRecord, titleOfNew } from '../../../recordForm';
import { requireMember } from '../../../session';
import { WORK_KINDS } from '../../kinds';

type Props = { params: Promise<{ kind: string }>; searchParams: Promise<Asked> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const work = WORK_KINDS.get((await params).kind);
  if (!work) return { title: 'Nothing found' };
  return { title: titleOfNew(work.kind, (await requireMember()).words.booking) };
}

export default async function NewWorkPage({ params, searchParams }: Props) {
  const { kind } = await params;
  const work = WORK_KINDS.get(kind);
  if (!work) notFound();
  const { words } = await requireMember();
  return (
    <NewRecord
      kind={work.kind}
      from={beginningFrom(await searchParams)}
      back={{ href: `/work/${kind}`, words: work.title(words) }}
    />
  );
}
