import type { Metadata } from 'next';
import { sharedRights } from '../../../server/templates/sharedRights';
import { SharedRights } from '../../../ui/templates/SharedRights';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'Who may change the templates' };

export default async function RightsPage() {
  const member = await requireMember();
  return <SharedRights members={await sharedRights(member)} own={member.role === 'owner'} />;
}
