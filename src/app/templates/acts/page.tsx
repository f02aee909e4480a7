import type { Metadata } from 'next';
import { actTemplates } from '../../../server/templates/actTemplates';
import { ActsList } from '../../../ui/templates/ActsList';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'Acts of the work' };

export default async function ActsPage() {
  return <ActsList acts={await actTemplates(await requireMember())} />;
}
