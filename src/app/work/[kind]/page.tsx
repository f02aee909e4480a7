import type { Metadata } from 'next';
import { requireMember } from '../../session';
import { WORK_KINDS } from '../kinds';

type Props = { params: Promise<{ kind: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: WORK_KINDS.get((await params).kind)?.title((await requireMember()).words) ?? 'Work' };
}

export default function WorkKindPage() {
  return <p className="hint">Choose one to see its facts and its letters, and to write.</p>;
}
