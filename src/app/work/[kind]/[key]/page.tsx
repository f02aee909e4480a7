import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import type { Asked } from '../../../beginningFrom';
import { keyFrom } from '../../../keyFrom';
import { ChangeRecord } from '../../../recordForm';
import { RecordRoute, recordTitle } from '../../../recordPage';
import { requireMember } from '../../../session';
import { WORK_KINDS } from '../../kinds';

type Props = { params: Promise<{ kind: string; key: string }>; searchParams: Promise<Asked> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { kind, key } = await params;
  const work = WORK_KINDS.get(kind);
  if (!work) return { title: 'Nothing found' };
  return work.kind === 'partner' ? { title: 'Partner' } : recordTitle(work.kind, key);
}

export default async function WorkPage({ params, searchParams }: Props) {
  const { kind, key } = await params;
  const work = WORK_KINDS.get(kind);
  if (!work) notFound();
  const { words } = await requireMember();
  // A partner is little more than what its form says.
  if (work.kind === 'partner') return <ChangeRecord kind="partner" recordKey={keyFrom(key)} />;
  return (
    <RecordRoute
      kind={work.kind}
      segment={key}
      back={{ href: `/work/${kind}`, words: work.title(words) }}
      did={(await searchParams).did}
    />
  );
}
