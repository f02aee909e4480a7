import type { Metadata } from 'next';
import { listPassages } from '../../../server/templates/passages';
import { templatesByGroup } from '../../../server/templates/templatesByGroup';
import { PassageList } from '../../../ui/templates/passages/PassageList';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'Passages' };

export default async function PassagesPage() {
  const member = await requireMember();
  const [passages, groups] = await Promise.all([listPassages(member), templatesByGroup(member)]);
  return <PassageList passages={passages} groups={groups} />;
}
