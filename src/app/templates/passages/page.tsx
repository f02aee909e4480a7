import type { Metadata } from 'next';
import { listPassages } from '../../../server/templates/passages';
import { PassageList } from '../../../ui/templates/passages/PassageList';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'Passages' };

export default async function PassagesPage() {
  return <PassageList passages={await listPassages(await requireMember())} />;
}
