import type { Metadata } from 'next';
import { trash } from '../../../server/templates/trash';
import { TrashList } from '../../../ui/templates/TrashList';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'Trash' };

export default async function TrashPage() {
  return <TrashList templates={await trash(await requireMember())} />;
}
